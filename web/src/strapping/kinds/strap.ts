import { t } from '../../messages';
import type { StepOf, StepScreen } from './piece';

export const strap: StepScreen<StepOf<'strap'>> = {
  doneLabel: (_, mark, name) =>
    mark ? t('strapping.closed', { strap: mark }) : t('strapping.closedPart', { part: name }),
};
