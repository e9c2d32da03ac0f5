import type { RequestHandler } from 'express';
import { diskState } from './disk';
import { diskFull, sendProblem, unanswered } from './problem';

/**
 * Every request is answered in time, whatever it waits for: a database that is frozen holds up its own
 * requests and nothing else. Streams are taken off it once they have begun.
 * @param ms the longest a request may take
 * @param longer what may take longer, by its path
 * @param folder where the database's disk is looked at
 */
export const deadline =
  (ms: number, longer: Readonly<Record<string, number>>, folder: string): RequestHandler =>
  (req, res, next) => {
    const timer = setTimeout(() => {
      // a database waits for room on a full disk without a word
      void diskState(folder).then((disk) => {
        if (!res.headersSent) sendProblem(res, disk === 'full' ? diskFull() : unanswered());
      });
    }, longer[req.path] ?? ms);
    res.once('close', () => clearTimeout(timer));
    next();
  };
