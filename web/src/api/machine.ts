import type { Role } from '@estribo/core/access';
import { Dexie, type EntityTable } from 'dexie';
import type { ProblemBody } from './http';

/** Something written here that the server has not taken yet. */
export interface Posted {
  /** place in the order of writing */
  n: number;
  /** whose it is: it is sent only in that person's session */
  user: string;
  userName: string;
  method: 'POST' | 'PUT';
  path: string;
  body: unknown;
  /** the case an entry belongs to; '' for what belongs to none */
  caseId: string;
  /** unsent: the server would not take it, and says why */
  state: 'waiting' | 'unsent';
  problem?: ProblemBody;
}

/** Somebody who has signed in on this machine. */
export interface SignedInHere {
  user: string;
  name: string;
  role: Role;
  /** the last time, ISO 8601 */
  at: string;
}

/** What this machine keeps of its people, each apart from the other: what waits, and who signs in. Drafts stand in `draft.ts`. */
export class Machine extends Dexie {
  declare posted: EntityTable<Posted, 'n'>;
  declare signIns: EntityTable<SignedInHere, 'user'>;

  constructor() {
    super('estribo-outbox');
    this.version(1).stores({ posted: '++n, [user+state], caseId' });
    this.version(2)
      .stores({
        posted: '++n, [user+state], user, caseId',
        signIns: 'user',
      })
      .upgrade((old) =>
        old
          .table<Omit<Posted, 'state'> & { state: string }>('posted')
          .toCollection()
          .modify((item) => {
            item.userName ??= '';
            if (item.state === 'refused') item.state = 'unsent';
          }),
      );
  }
}

export const machine = new Machine();
