import type { EntryFault } from '@estribo/core/faults';
import { problemDetail, problems, type ProblemCode, type ProblemParams } from '@estribo/core/answers';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { troubleOf } from './database/trouble';
import { diskState } from './disk';

/** What a client did that cannot be answered: RFC 9457, application/problem+json, with the code and what its sentence names. */
export class Problem extends Error {
  readonly title: string;
  readonly detail: string;
  readonly status: number;
  /**
   * @param more what a client is told beside the sentence
   * @param status where it is another one than the problem's own
   */
  constructor(
    readonly code: ProblemCode,
    readonly params: ProblemParams = {},
    readonly more: { faults?: EntryFault[]; inForce?: unknown; [member: string]: unknown } = {},
    status?: number,
  ) {
    const [ownStatus, title] = problems[code];
    const detail = problemDetail(code, params);
    super(`${title}: ${detail}`);
    this.status = status ?? ownStatus;
    this.title = title;
    this.detail = detail;
  }
}

export const faulty = (faults: EntryFault[]) =>
  new Problem(
    'not-valid',
    { faults: faults.map(({ at, message }) => `${at || 'The body'} ${message}`).join('; ') },
    { faults },
  );

/** Seconds after which a client may try again what was not answered. */
const retryAfter = 2;

/** A row that was not free in time. */
export const busy = () => new Problem('busy');

/** No answer in time, or none at all: what became of a write is not known here. */
export const unanswered = () => new Problem('unanswered');

/** There is no room on the server's disk. */
export const diskFull = () => new Problem('disk-full');

/** What the database says in an error, as a problem. */
function fromDatabase(error: unknown): Problem | undefined {
  switch (troubleOf(error)) {
    case 'deadlock':
    case 'row-held':
      return busy();
    case 'taken':
      return new Problem('just-written');
    case 'away':
      return unanswered();
    case 'full':
      return diskFull();
    case undefined:
      return undefined;
  }
}

export function sendProblem(res: Response, { code, params, status, title, detail, more }: Problem): void {
  if (status === 503) res.set('Retry-After', String(retryAfter));
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail, code, params, ...more }));
}

/** Errors that express and its body reader raise for what a client sent, as problems. */
function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return new Problem('too-large');
  if (type === 'entity.parse.failed') return new Problem('not-json');
  if (error instanceof URIError) return new Problem('bad-path');
  return status !== undefined && status >= 400 && status < 500
    ? new Problem('unreadable', {}, {}, status)
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
    sendProblem(res, problem ?? new Problem('failed'));
  };
