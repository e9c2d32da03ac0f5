import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import type { CheckScreen } from './piece';

export const angleAtStop: CheckScreen<Extract<FitCheck, { kind: 'angle-at-stop' }>> = {
  quantity: () => 'degrees',
  hint: (_, { window }) => t('checking.allowedWindow', { window }),
};
