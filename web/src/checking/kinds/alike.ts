import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import type { CheckScreen } from './piece';

export const alike: CheckScreen<Extract<FitCheck, { kind: 'alike' }>> = {
  quantity: () => 'distance',
  pair: true,
  hint: ({ within }, { words, names, print }) =>
    [words.how, t('checking.alike', { ...names, within: print(within) })].filter(Boolean).join(': '),
};
