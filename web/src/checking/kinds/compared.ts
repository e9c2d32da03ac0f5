import type { FitCheck } from '@estribo/core/checking';
import type { CheckScreen } from './piece';

export const compared: CheckScreen<Extract<FitCheck, { kind: 'compared' }>> = {
  quantity: () => 'distance',
  hint: (_, { words }) => words.how ?? '',
};
