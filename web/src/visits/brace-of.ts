import type { CaseOfPerson } from '@estribo/core/answers';
import { named } from '../messages';

/** A brace as a person with several of them tells them apart. */
export const braceOf = ({ side, region, modelName }: Pick<CaseOfPerson, 'side' | 'region' | 'modelName'>) =>
  `${named('bodyPart', `${side}-${region}`)}, ${modelName}`;
