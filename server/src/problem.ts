import type { EntryFault } from '@estribo/core/record';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { troubleOf } from './database/trouble';
import { diskState } from './disk';

/** What a client did that cannot be answered: RFC 9457, application/problem+json. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly detail: string,
    readonly more: { faults?: EntryFault[]; inForce?: unknown; [member: string]: unknown } = {},
  ) {
    super(`${title}: ${detail}`);
  }
}

export const notFound = (what: string) => new Problem(404, 'Not found', `There is no ${what} here.`);

export const faulty = (faults: EntryFault[]) =>
  new Problem(
    422,
    'Not valid',
    faults.map(({ at, message }) => `${at || 'The body'} ${message}`).join('; '),
    { faults },
  );

/** Seconds after which a client may try again what was not answered. */
const retryAfter = 2;

/** A row that was not free in time. */
export const busy = () =>
  new Problem(503, 'Busy', 'Somebody else is writing here just now. Nothing was stored; send it again.');

/** No answer in time, or none at all: what became of a write is not known here. */
export const unanswered = () =>
  new Problem(
    503,
    'The database does not answer',
    'It is not known whether this was stored. Send it again: the same thing is taken once.',
  );

/** There is no room on the server's disk. */
export const diskFull = () =>
  new Problem(
    507,
    'Disk full',
    'The server’s disk is full: nothing was stored. Inform the administrator: free some space on it. What was typed is kept here and is sent again.',
  );

/** What the database says in an error, as a problem. */
function fromDatabase(error: unknown): Problem | undefined {
  switch (troubleOf(error)) {
    case 'deadlock':
    case 'row-held':
      return busy();
    case 'taken':
      return new Problem(
        409,
        'Already there',
        'Somebody else has just written this. Look at it, then go on.',
      );
    case 'away':
      return unanswered();
    case 'full':
      return diskFull();
    case undefined:
      return undefined;
  }
}

export function sendProblem(res: Response, { status, title, detail, more }: Problem): void {
  if (status === 503) res.set('Retry-After', String(retryAfter));
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail, ...more }));
}

/** Errors that express and its body reader raise for what a client sent, as problems. */
function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large')
    return new Problem(413, 'Too large', 'This is more than may be sent at once.');
  if (type === 'entity.parse.failed') return new Problem(400, 'Not JSON', 'The body is not JSON.');
  if (error instanceof URIError) return new Problem(400, 'Not an address', 'The path is not well encoded.');
  return status !== undefined && status >= 400 && status < 500
    ? new Problem(status, 'Not acceptable', 'The request cannot be read.')
    : undefined;
}

/**
 * What may be logged of an error nobody foresaw: its type, its code and where it came from. Never its
 * message nor its members: those of the database hold what was sent.
 */
function traceOf(error: unknown): { type: string; code?: string; trace: string[] } {
  const { name, code, stack } = error as Error & { code?: string };
  return {
    type: name,
    ...(code ? { code } : {}),
    trace: (stack ?? '').split('\n').filter((line) => /^\s+at /.test(line)),
  };
}

/** @param folder where the database's disk is looked at: one that is full answers nothing at all */
export const problemHandler =
  (log: Logger, folder: string): ErrorRequestHandler =>
  async (error, req, res, next) => {
    // answered already, by the limit on time say: what came of it later is nobody's any more
    if (res.writableEnded) return;
    if (res.headersSent) return next(error);
    const said = asProblem(error) ?? fromDatabase(error);
    const isFull = troubleOf(error) === 'away' && (await diskState(folder)) === 'full';
    const problem = isFull ? diskFull() : said;
    if (res.headersSent) return;
    if (!problem) log.error({ ...traceOf(error), method: req.method }, 'request failed');
    sendProblem(
      res,
      problem ??
        new Problem(
          500,
          'Failed',
          'Something went wrong in the server with this one. What was sent is kept where it was written.',
        ),
    );
  };
