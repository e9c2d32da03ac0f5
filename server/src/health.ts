import { engineVersion } from '@estribo/core/logbook';
import { Problem } from './problem';
import type { Context, Route } from './route';

export function healthRoutes({ db }: Context): Route[] {
  return [
    {
      method: 'get',
      path: '/health',
      who: 'open',
      handle: async (_req, res) => {
        try {
          await db.query('SELECT 1');
        } catch {
          throw new Problem(503, 'Not well', 'The database does not answer.');
        }
        res.json({ status: 'ok', database: 'ok', engine: engineVersion });
      },
    },
  ];
}
