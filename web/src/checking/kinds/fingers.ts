import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import { listed, type CheckScreen } from './piece';

export const fingers: CheckScreen<Extract<FitCheck, { kind: 'fingers' }>> = {
  quantity: () => 'count',
  countSign: () => t('checking.fingersSign'),
  byFingers: true,
  hint: ({ least, most }, { words }) =>
    listed(
      words.how,
      least === most ? t('checking.fingersJust', { count: least }) : t('checking.fingers', { least, most }),
    ),
};
