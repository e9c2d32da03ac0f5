import type { RequestHandler } from 'express';
import { sendProblem, unanswered } from './problem';

/**
 * Every request is answered in time, whatever it waits for: a database that is frozen holds up its own
 * requests and nothing else. Streams are taken off it once they have begun.
 * @param ms the longest a request may take
 */
export const deadline =
  (ms: number): RequestHandler =>
  (_req, res, next) => {
    const timer = setTimeout(() => {
      if (!res.headersSent) sendProblem(res, unanswered());
    }, ms);
    res.once('close', () => clearTimeout(timer));
    next();
  };
