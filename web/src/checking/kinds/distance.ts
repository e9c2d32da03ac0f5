import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import type { CheckScreen } from './piece';

export const distance: CheckScreen<Extract<FitCheck, { kind: 'distance' }>> = {
  quantity: () => 'distance',
  hint: ({ from, to }, { said }) => t('checking.allowed', { from: said(from), to: said(to) }),
};
