import type { RequestHandler } from 'express';
import { Problem } from './problem';

/** Deeper than anything that is sent: a programme's step is five deep. */
const deepest = 32;

/**
 * Takes only JSON that everything behind it can carry: not nested without end, and with texts that are whole
 * (a lone surrogate is half a character and cannot be stored).
 */
export const soundBody: RequestHandler = (req, _res, next) => {
  const fault = bodyFault(req.body);
  if (fault) throw new Problem('not-sound', { fault });
  next();
};

function bodyFault(body: unknown): string | undefined {
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > deepest) return `The body is nested deeper than ${deepest} levels.`;
    const below: unknown[] = [];
    for (const value of level) {
      if (typeof value === 'string') {
        if (!value.isWellFormed()) return 'The body holds a text with half a character in it.';
      } else if (typeof value === 'object' && value !== null)
        for (const [key, inner] of Object.entries(value)) {
          if (!key.isWellFormed()) return 'The body holds a name with half a character in it.';
          below.push(inner);
        }
    }
    level = below;
  }
  return undefined;
}
