import type { FitCheck } from '@estribo/core/checking';
import type { CheckScreen } from './piece';

export const proximalTo: CheckScreen<Extract<FitCheck, { kind: 'proximal-to' }>> = {
  quantity: () => 'distance',
  pair: true,
  hint: (_, { words, unit }) => `${words.how ?? ''} (${unit})`,
};
