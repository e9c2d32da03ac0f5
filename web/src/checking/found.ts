/* What was found at a check, as it is typed, printed and said. */
import type { FitCheck } from '@estribo/core/checking';
import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { t } from '../messages';
import { degrees, printDistance, printNumber, signed } from '../parts/print';

export const checkOf = ({ checking }: CaseState, id: string): FitCheck | undefined =>
  checking.checks.find(({ check }) => check.id === id)?.check;

/** What a check reads: the joint's angle, or how far a part lies to either side of a place. */
export const checkQuantity = ({ kind }: FitCheck): 'degrees' | 'distance' =>
  kind === 'angle-at-stop' ? 'degrees' : 'distance';

/** The bare number, as it is typed. */
export const printFound = (check: FitCheck, value: number, unit: LengthUnit): string =>
  checkQuantity(check) === 'degrees'
    ? signed(value)
    : `${value < 0 ? '−' : ''}${printNumber(Math.abs(value), 'mm', unit)}`;

/** The number with its unit. */
export const printAmount = (check: FitCheck, value: number, unit: LengthUnit): string =>
  checkQuantity(check) === 'degrees' ? degrees(value) : printDistance(value, unit);

/** What so much under zero means at a check. */
export const saidMinus = ({ id }: FitCheck, amount: string): string =>
  t(`checkMinus.${id}` as 'checkMinus.hinge-height', { amount });

/** The number with its unit, in words where it is under zero: a minus sign alone is overlooked. */
export const saidFound = (check: FitCheck, value: number, unit: LengthUnit): string =>
  value < 0 ? saidMinus(check, printAmount(check, -value, unit)) : printAmount(check, value, unit);
