import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import { listed, type CheckScreen } from './piece';

export const quantity: CheckScreen<Extract<FitCheck, { kind: 'quantity' }>> = {
  quantity: ({ unit }) => (unit === 'degrees' ? 'degrees' : unit === 'mm' ? 'distance' : 'count'),
  countSign: ({ unit }) => (unit === 's' || unit === 'kg' ? unit : ''),
  hint: ({ least, most }, { words, print }) =>
    listed(
      words.how,
      least === undefined
        ? t('checking.atMost', { most: print(most!) })
        : most === undefined
          ? t('checking.atLeast', { least: print(least) })
          : t('checking.between', { from: print(least), to: print(most) }),
    ),
};
