import { liveRecord, type LiveRecord } from './live-record';
import type { BodyIn, Recorded } from './entry';
import type { EntryKind } from './kind';
import { settle } from './settle';

/** An entry for a test: its kind, its body, and what else is said of it. */
export const written = <K extends Pick<EntryKind, 'kind' | 'body'>>(
  { kind }: K,
  body: BodyIn<K>,
  more: Partial<Recorded> = {},
) => ({ kind, body, ...more });

/** The live record of entries written one after the other, on a day each where it is said; ids are `e1`, `e2`, ... */
export const testRecord = (...entries: (Partial<Recorded> & { kind: string; body: unknown })[]): LiveRecord =>
  liveRecord(
    settle(
      entries.map((entry, i) => ({
        id: `e${i + 1}`,
        case: 'c',
        stage: 'case' as const,
        v: 1,
        observedAt: '2026-11-24T09:30:00.000Z',
        zone: 'Europe/Madrid',
        by: 'u',
        seq: i + 1,
        receivedAt: '2026-11-24T09:30:00.000Z',
        ...entry,
      })),
    ),
    'Europe/Madrid',
  );
