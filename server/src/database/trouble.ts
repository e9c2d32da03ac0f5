/**
 * What a failed query says about the database: `deadlock`: another transaction was in the way, try again;
 * `row-held`: a row was not free in time; `taken`: a unique value is there already; `away`: the database does
 * not answer, and whether the last thing sent to it was carried out is not known; `full`: there is no room on its disk.
 */
export type DatabaseTrouble = 'deadlock' | 'row-held' | 'taken' | 'away' | 'full';

/**
 * What MariaDB and the system below it say when there is no room: disk full, table full, error writing a file, no space left on
 * device (the last within "got error 28 from storage engine").
 */
const fullByNumber = [1021, 1114, 3, 28];
const fullInWords = /No space left on device|errno: 28\b|error 28\b|Errcode: 28\b|The table '.*' is full/;

const byCode: Record<string, DatabaseTrouble> = {
  ER_LOCK_DEADLOCK: 'deadlock',
  // the row was changed between the reading and the writing of one statement
  ER_CHECKREAD: 'deadlock',
  ER_LOCK_WAIT_TIMEOUT: 'row-held',
  ER_STATEMENT_TIMEOUT: 'row-held',
  ER_DUP_ENTRY: 'taken',
  ECONNREFUSED: 'away',
  ECONNRESET: 'away',
  EPIPE: 'away',
  ETIMEDOUT: 'away',
  ENOTFOUND: 'away',
  EHOSTUNREACH: 'away',
  ENETUNREACH: 'away',
  PROTOCOL_CONNECTION_LOST: 'away',
  PROTOCOL_SEQUENCE_TIMEOUT: 'away',
  POOL_CLOSED: 'away',
  ER_SERVER_SHUTDOWN: 'away',
  ER_CON_COUNT_ERROR: 'away',
  ER_QUERY_INTERRUPTED: 'away',
  ER_CONNECTION_KILLED: 'away',
  ER_OPTION_PREVENTS_STATEMENT: 'away',
};

/** @returns what the database says in an error; undefined for an error of another kind */
export function troubleOf(error: unknown): DatabaseTrouble | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  const inner = (error as { driverError?: unknown }).driverError ?? error;
  const { code, errno, fatal, message } = inner as {
    code?: string;
    errno?: number;
    fatal?: boolean;
    message?: string;
  };
  if ((errno !== undefined && fullByNumber.includes(errno)) || fullInWords.test(message ?? '')) return 'full';
  if (code !== undefined && byCode[code]) return byCode[code];
  // mysql2 has no code for these
  if (fatal === true || /connection is in closed state|Pool is closed|Queue limit/.test(message ?? ''))
    return 'away';
  return undefined;
}
