import type { RequestHandler } from 'express';
import { sendProblem, unanswered } from './problem';

/**
 * Every request is answered in time, whatever it waits for: a database that is frozen holds up its own
 * requests and nothing else. Streams are taken off it once they have begun.
 * @param ms the longest a request may take
 * @param longer what may take longer, by its path
 */
export const deadline =
  (ms: number, longer: Readonly<Record<string, number>>): RequestHandler =>
  (req, res, next) => {
    const timer = setTimeout(() => {
      if (!res.headersSent) sendProblem(res, unanswered());
    }, longer[req.path] ?? ms);
    res.once('close', () => clearTimeout(timer));
    next();
  };
