import { pinOf, programmes } from '@estribo/core/programmes';
import { notFound } from '../problem';
import type { Context, Route } from '../route';
import { modelsOf, registered } from './registry';

export function catalogueRoutes({ db }: Context): Route[] {
  return [
    {
      method: 'get',
      path: '/catalogue',
      who: 'catalogue.read',
      handle: async (_req, res) => {
        const families = await Promise.all(
          programmes.map(async (programme) => ({
            programme: pinOf(programme),
            models: (await modelsOf(db, programme)).map(({ pin, model }) => ({
              ...pin,
              name: model.name,
              maker: model.maker,
              invented: model.invented,
              sizes: model.chart.sizes,
            })),
          })),
        );
        res.json({ families });
      },
    },
    {
      method: 'get',
      path: '/catalogue/:sort/:hash',
      who: 'catalogue.read',
      handle: async (req, res) => {
        const { sort, hash } = req.params;
        const content =
          sort === 'programme' || sort === 'model'
            ? await registered(db.manager, sort, String(hash))
            : undefined;
        if (!content) throw notFound('content under this hash');
        res.set('Cache-Control', 'private, max-age=31536000, immutable').json(content);
      },
    },
  ];
}
