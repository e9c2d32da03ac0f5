import { register } from 'tsx/esm/api';

// Draws bodies by chance and looks at every outline: `npm run outlines -- 2000`, or of one region `-- 2000 leg`.
const [bodies = '2000', only] = process.argv.slice(2);
register();
const { sweep } = await import('../core/src/anatomy/test-sweep.ts');
const { regionNames } = await import('../core/src/anatomy/region.ts');
for (const region of only ? [only] : regionNames) {
  const seed = Number(process.env.ESTRIBO_SEED ?? 20261125);
  const fault = sweep(region, Number(bodies), seed);
  console.log(fault ? `${region}: ${fault}` : `${region}: ${bodies} bodies drawn, no outline at fault`);
  if (fault) process.exitCode = 1;
}
