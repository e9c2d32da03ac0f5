/* What was found at a check, as it is typed, printed and said. */
import type { FitCheck } from '@estribo/core/checking';
import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { named, t } from '../messages';
import { checkWords } from '../messages/fitting';
import { degrees, formatDistance, formatNumber, signed } from '../parts/format';
import { screenOf } from './kinds/all';

export const checkOf = ({ checking }: CaseState, id: string): FitCheck | undefined =>
  checking.checks.find(({ check }) => check.id === id)?.check;

/** What a check reads: the joint's angle, a count, or how far a part lies to either side of a place. */
export const checkQuantity = (check: FitCheck): 'degrees' | 'count' | 'distance' =>
  screenOf(check).quantity?.(check) ?? 'count';

/** What stands behind its number. */
export const signOf = (check: FitCheck, unit: LengthUnit): string =>
  ({ degrees: '°', count: countSign(check), distance: unit })[checkQuantity(check)];

/** What is counted: fingers, seconds, kilograms; a mark is a bare number. */
const countSign = (check: FitCheck): string => screenOf(check).countSign?.(check) ?? '';

/** The bare number, as it is typed. */
export const formatFound = (check: FitCheck, value: number, unit: LengthUnit): string =>
  checkQuantity(check) === 'distance'
    ? `${value < 0 ? '−' : ''}${formatNumber(Math.abs(value), 'mm', unit)}`
    : signed(value);

/** The number with its unit. */
export function formatAmount(check: FitCheck, value: number, unit: LengthUnit): string {
  switch (checkQuantity(check)) {
    case 'degrees':
      return degrees(value);
    case 'count':
      return `${signed(value)} ${countSign(check)}`.trimEnd();
    case 'distance':
      return formatDistance(value, unit);
  }
}

/** What so much under zero means at a check, where it means something. */
export const saidMinus = (
  programme: CaseState['programme'],
  { id }: FitCheck,
  amount: string,
): string | undefined => checkWords(programme, id).minus?.replace('{{amount}}', amount);

/** The number with its unit, in words where it is under zero: a minus sign alone is overlooked. */
export const saidFound = (
  programme: CaseState['programme'],
  check: FitCheck,
  value: number,
  unit: LengthUnit,
): string =>
  (value < 0 ? saidMinus(programme, check, formatAmount(check, -value, unit)) : undefined) ??
  formatAmount(check, value, unit);

/** A check's name, with its moment where it has several. */
export function checkName({ programme }: CaseState, { id, moment }: Pick<FitCheck, 'id' | 'moment'>): string {
  const { name } = checkWords(programme, id);
  return moment ? t('checking.at', { check: name, moment: named('checkMoment', moment.is) }) : name;
}

/** Of a check that has two numbers, what each of them is of. */
export const pairNames = ({ programme }: CaseState, { id }: FitCheck) => {
  const { value, reference } = checkWords(programme, id);
  return { value: value ?? t('checking.left'), reference: reference ?? t('checking.right') };
};

/** What is seen, in the trade's word where it has one: square or twisted; else yes or no. */
export const saidAnswer = ({ programme }: CaseState, check: string, yes: boolean): string => {
  const words = checkWords(programme, check);
  return (yes ? words.yes : words.no) ?? t(yes ? 'common.yes' : 'common.no');
};

/** A check that is answered at several moments is several lines. */
export const keyOf = ({ id, moment }: FitCheck): string => (moment ? `${id} ${moment.is}` : id);
