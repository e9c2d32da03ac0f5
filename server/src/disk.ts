import { statfs } from 'node:fs/promises';

/** From here on the operator is warned: a day's work and a back-up need less. */
export const lowDisk = 500e6;
/** With less than this the database cannot be relied on to store anything. */
const fullDisk = 10e6;

/** How much is free where a folder lies, in bytes; undefined when that cannot be said. */
export async function freeBytes(folder: string): Promise<number | undefined> {
  try {
    const { bavail, bsize } = await statfs(folder);
    return bavail * bsize;
  } catch {
    return undefined;
  }
}

export type DiskState = 'ok' | 'low' | 'full';

/** How the disk is where a folder lies; one that cannot be asked counts as well. */
export async function diskState(folder: string): Promise<DiskState> {
  const free = (await freeBytes(folder)) ?? Infinity;
  return free < fullDisk ? 'full' : free < lowDisk ? 'low' : 'ok';
}
