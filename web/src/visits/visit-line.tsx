import type { ListedVisit } from '@estribo/core/answers';
import { named, t } from '../messages';
import { braceOf } from './brace-of';

/** How a visit stands on a day: whether somebody came is known from what was done. */
export const standing = ({ state, day }: Pick<ListedVisit, 'state' | 'day'>, today: string) =>
  state === 'planned' ? (day < today ? 'missed' : 'expected') : state === 'kept' ? 'kept' : 'calledOff';

/** For what somebody comes, and for which brace. */
export const saidOfVisit = ({ purpose, side, region, modelName }: ListedVisit): string =>
  `${named('purpose', purpose)}, ${
    side && region && modelName ? braceOf({ side, region, modelName }) : t('visits.noCase')
  }`;
