import { problems, type ProblemCode } from '@estribo/core/answers';
import { faultSays } from '@estribo/core/faults';
import { enFamilies } from './en-families';
import { everywhereMessages } from './everywhere/en';
import { frameMessages } from '../frame/messages/en';
import { visitsMessages } from '../visits/messages/en';
import { peopleMessages } from '../people/messages/en';
import { figureMessages } from '../figure/messages/en';
import { caseMessages } from '../case/messages/en';
import { instrumentsMessages } from '../instruments/messages/en';
import { screeningMessages } from '../screening/messages/en';
import { sizingMessages } from '../sizing/messages/en';
import { measuringMessages } from '../measuring/messages/en';
import { settingMessages } from '../setting/messages/en';
import { shapingMessages } from '../shaping/messages/en';
import { findingsMessages } from '../findings/messages/en';
import { checkingMessages } from '../checking/messages/en';
import { strappingMessages } from '../strapping/messages/en';
import { wearingMessages } from '../wearing/messages/en';
import { reviewingMessages } from '../reviewing/messages/en';
import { casePageMessages } from '../case-page/messages/en';
import { benchMessages } from '../bench/messages/en';
import { casesMessages } from '../cases/messages/en';
import { catalogueMessages } from '../catalogue/messages/en';
import { clinicMessages } from '../clinic/messages/en';

const refusals = Object.fromEntries(
  Object.entries(problems).map(([code, [, , detail]]) => [code, detail]),
) as Record<ProblemCode, string>;

/** Everything the interface says, in English. Another language is another pair of files of this shape. */
export const en = {
  ...enFamilies,
  ...everywhereMessages,
  ...frameMessages,
  ...visitsMessages,
  ...peopleMessages,
  ...figureMessages,
  ...caseMessages,
  ...instrumentsMessages,
  ...screeningMessages,
  ...sizingMessages,
  ...measuringMessages,
  ...settingMessages,
  ...shapingMessages,
  ...findingsMessages,
  ...checkingMessages,
  ...strappingMessages,
  ...wearingMessages,
  ...reviewingMessages,
  ...casePageMessages,
  ...benchMessages,
  ...casesMessages,
  ...catalogueMessages,
  ...clinicMessages,
  /** what the server says of what it does not take: its own sentences, by their codes */
  refused: refusals,
  /** what is wrong with a field, as it is read after its name */
  faults: { ...faultSays, date: 'must be a date', finite: 'must be a number' },
} as const;
