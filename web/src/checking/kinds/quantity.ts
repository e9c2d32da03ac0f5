import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import { listed, type CheckScreen } from './piece';

/** What is never less than none: a least of none says nothing. */
const neverUnderNone = ['s', 'kg', 'count'];

export const quantity: CheckScreen<Extract<FitCheck, { kind: 'quantity' }>> = {
  quantity: ({ unit }) => (unit === 'degrees' ? 'degrees' : unit === 'mm' ? 'distance' : 'count'),
  countSign: ({ unit }) => (unit === 's' || unit === 'kg' ? unit : ''),
  hint: ({ unit, least, most }, { words, print }) =>
    listed(
      words.how,
      least === undefined || (least === 0 && most !== undefined && neverUnderNone.includes(unit))
        ? t('checking.atMost', { most: print(most!) })
        : most === undefined
          ? t('checking.atLeast', { least: print(least) })
          : t('checking.between', { from: print(least), to: print(most) }),
    ),
};
