/** A thing that went wrong with one line saying what to do: printed as it is, without a stack. */
export class Stop extends Error {}

/** Prints what is being done and how long it took. */
export async function step(name, work) {
  const began = Date.now();
  process.stdout.write(`  ${name} ... `);
  const said = await work();
  console.log(`${said ?? 'done'} (${((Date.now() - began) / 1000).toFixed(1)} s)`);
}

/** Runs a script's main; a Stop ends it with its line, anything else with the error. */
export async function run(main) {
  try {
    await main();
  } catch (error) {
    const full = error?.code === 'ENOSPC';
    console.error(
      full
        ? '\nThe disk is full. Free at least 500 MB where this folder lies, then start again.'
        : error instanceof Stop
          ? `\n${error.message}`
          : error,
    );
    process.exitCode = 1;
  }
}
