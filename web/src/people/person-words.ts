import type { Person } from '@estribo/core/answers';
import { t } from '../messages';
import { formatDate } from '../parts/format';

export const fullName = ({ givenName, familyName }: Pick<Person, 'givenName' | 'familyName'>): string =>
  `${givenName} ${familyName}`;

/** The numbers somebody is known by in the clinic; who is on the way to the server has none yet. */
export const numbersOf = ({ numbers }: Pick<Person, 'numbers'>): string =>
  numbers.length === 0
    ? t('peoplePage.noNumber')
    : numbers.length === 1
      ? t('peoplePage.number', { number: numbers[0]! })
      : t('peoplePage.numbers', { numbers: numbers.join(', ') });

/** What tells two of one name apart. */
export const toldApart = (person: Pick<Person, 'born' | 'numbers'>): string =>
  `${t('cases.born', { born: formatDate(person.born) })} · ${numbersOf(person)}`;
