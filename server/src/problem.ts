import type { EntryFault } from '@estribo/core/logbook';
import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';

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

function send(res: Response, { status, title, detail, more }: Problem) {
  res
    .status(status)
    .type('application/problem+json')
    .send(JSON.stringify({ type: 'about:blank', title, status, detail, ...more }));
}

/** Errors that express and its body reader raise for what a client sent, as problems. */
function asProblem(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return new Problem(413, 'Too large', 'Send at most 64 kB at once.');
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

export const problemHandler =
  (log: Logger): ErrorRequestHandler =>
  (error, req, res, next) => {
    if (res.headersSent) return next(error);
    const problem = asProblem(error);
    if (!problem) log.error({ ...traceOf(error), method: req.method }, 'request failed');
    send(
      res,
      problem ?? new Problem(500, 'Failed', 'Something went wrong here. Nothing was stored; send it again.'),
    );
  };
