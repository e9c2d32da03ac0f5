import { chainHash, chainStart, saltedHash, type AnyEntry } from '@estribo/core/logbook';
import type { CaseRow, EntryRow } from '../database/entities';
import { caseMac, entryMac, type Mac } from './seal-key';

/** What does not hold in the record, of a case or of the seals over the clinic. */
export interface ProofFault {
  case?: string;
  /** of a programme or a model: its hash */
  content?: string;
  seq?: number;
  what:
    | 'content-changed'
    | 'link-broken'
    | 'entry-changed'
    | 'entry-missing'
    | 'tail-missing'
    | 'case-row-changed'
    | 'case-missing'
    | 'rolled-back'
    | 'not-sealed'
    | 'registered-changed'
    | 'seal-changed'
    | 'audit-changed'
    | 'seals-missing';
}

/**
 * Every hash of a case computed again: over each content with its salt, along the chain, keyed over each row,
 * and from the case's row to its newest entry.
 * @param entries all rows of the case, by rising seq
 * @returns what does not hold; empty when all does
 */
export function verifyCase(mac: Mac, row: CaseRow, entries: readonly EntryRow[]): ProofFault[] {
  const faults: ProofFault[] = [];
  const find = (what: ProofFault['what'], seq?: number) =>
    faults.push({ case: row.id, what, ...(seq === undefined ? {} : { seq }) });
  let previous = chainStart;
  let expected = 1;
  for (const entry of entries) {
    if (entry.seq !== expected) find('entry-missing', expected);
    if (!contentHolds(row.id, entry)) find('content-changed', entry.seq);
    if (chainHash(previous, entry.salted) !== entry.hash) find('link-broken', entry.seq);
    if (entryMac(mac, entry) !== entry.mac) find('entry-changed', entry.seq);
    previous = entry.hash;
    expected = entry.seq + 1;
  }
  if (row.head !== previous || row.seq !== expected - 1) find('tail-missing', row.seq);
  if (caseMac(mac, row) !== row.mac) find('case-row-changed');
  return faults;
}

/** Whether an entry's content is what was hashed, and stands where it says. Of an erased one nothing is left to hold. */
export function contentHolds(caseId: string, { content, salt, salted, id }: EntryRow): boolean {
  if (content === null) return salt === null;
  if (salt === null) return false;
  try {
    const entry = JSON.parse(content) as AnyEntry;
    return entry.id === id && entry.case === caseId && saltedHash(entry, salt) === salted;
  } catch {
    return false;
  }
}
