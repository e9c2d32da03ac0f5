import type { FitCheck } from '@estribo/core/checking';
import type { CheckScreen } from './piece';

export const mark: CheckScreen<Extract<FitCheck, { kind: 'mark' }>> = {
  quantity: () => 'count',
  hint: (_, { words }) => words.how ?? '',
};
