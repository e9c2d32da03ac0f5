import { type Describers } from '../case/describers';
import { t } from '../messages';
import { formatReading, percent } from '../parts/format';
import { unitOfAxis } from './print-axis';

/** How the entries of Size are said. */
export const describers = {
  'size.chosen': (entry, { state, unit }) => ({
    title: t('entry.size'),
    value: entry.body.size ?? t('sizing.madeToMeasure'),
    ...(entry.body.size === undefined
      ? {}
      : {
          rest:
            entry.body.margin === undefined || entry.body.decides === undefined
              ? t('entry.oneSize')
              : t('entry.sizeRest', {
                  percent: percent(entry.body.probability),
                  margin: formatReading(entry.body.margin, unitOfAxis(state, entry.body.decides), unit),
                }),
        }),
  }),
} satisfies Describers;
