/* What was found at a check, as it is typed, printed and said. */
import type { FitCheck } from '@estribo/core/checking';
import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { t } from '../messages';
import { checkWords } from '../messages/fitting';
import { degrees, printDistance, printNumber, signed } from '../parts/print';

export const checkOf = ({ checking }: CaseState, id: string): FitCheck | undefined =>
  checking.checks.find(({ check }) => check.id === id)?.check;

/** What a check reads: the joint's angle, fingers, or how far a part lies to either side of a place. */
export function checkQuantity(check: FitCheck): 'degrees' | 'count' | 'distance' {
  switch (check.kind) {
    case 'quantity':
      return check.unit === 'degrees' ? 'degrees' : 'count';
    case 'mark':
      return 'count';
    case 'angle-at-stop':
      return 'degrees';
    case 'fingers':
      return 'count';
    default:
      return 'distance';
  }
}

/** What stands behind its number. */
export const signOf = (check: FitCheck, unit: LengthUnit): string =>
  ({ degrees: '°', count: countSign(check), distance: unit })[checkQuantity(check)];

/** What is counted: fingers, seconds, kilograms; a mark is a bare number. */
const countSign = (check: FitCheck): string =>
  check.kind === 'fingers'
    ? t('checking.fingersSign')
    : check.kind === 'quantity' && (check.unit === 's' || check.unit === 'kg')
      ? check.unit
      : '';

/** The bare number, as it is typed. */
export const printFound = (check: FitCheck, value: number, unit: LengthUnit): string =>
  checkQuantity(check) === 'distance'
    ? `${value < 0 ? '−' : ''}${printNumber(Math.abs(value), 'mm', unit)}`
    : signed(value);

/** The number with its unit. */
export function printAmount(check: FitCheck, value: number, unit: LengthUnit): string {
  switch (checkQuantity(check)) {
    case 'degrees':
      return degrees(value);
    case 'count':
      return `${signed(value)} ${countSign(check)}`.trimEnd();
    case 'distance':
      return printDistance(value, unit);
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
  (value < 0 ? saidMinus(programme, check, printAmount(check, -value, unit)) : undefined) ??
  printAmount(check, value, unit);
