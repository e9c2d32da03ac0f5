import type { FitCheck } from '@estribo/core/checking';
import { t } from '../../messages';
import { listed, type CheckScreen } from './piece';

export const distance: CheckScreen<Extract<FitCheck, { kind: 'distance' }>> = {
  quantity: () => 'distance',
  hint: ({ id, from, to }, { said, words, programme }) => {
    const own = programme.checks.some((one) => one.id === id && one.kind === 'distance' && one.tolerance);
    const allowed = t(own ? 'checking.allowedByModel' : 'checking.allowed', {
      from: said(from),
      to: said(to),
    });
    return listed(words.how?.replace(/\.$/, ''), allowed);
  },
};
