import { addDays } from '@estribo/core/calendar';
import { orderProblems, replanned, type Order } from '@estribo/core/order';
import type { Programme } from '@estribo/core/programmes';
import { array, object, string } from 'yup';
import { t } from '../messages';
import { limitLabel, numberProblem, orderOf, type OrderValues, type TypedLimit } from './order-values';

const needed = () => string().trim().required(t('order.needed'));

/** A number that may be left out; what is wrong with one that is there stands in words. */
const numberOrNothing = (what: string, path: string, unit = '°') =>
  string().test('number', (text, { createError }) => {
    if (text === undefined || text.trim() === '') return true;
    const problem = numberProblem(what, text, path, unit);
    return problem === true || createError({ message: problem });
  });

const limitRules = object().test('limits', (limit, { createError, path }) => {
  const { from, to, ...motion } = limit as TypedLimit;
  for (const [end, text] of [
    ['from', from],
    ['to', to],
  ] as const) {
    const problem =
      text.trim() === '' || numberProblem(limitLabel(motion, end), text, `phases.limits.${end}.degrees`, '°');
    if (problem !== true) return createError({ path: `${path}.${end}`, message: problem });
  }
  return true;
});

/**
 * What is typed of an order, as far as each field can say by itself what is wrong with it.
 * @param about.born day zero is no day before the person was born
 * @param about.today nor more than a year ahead
 */
export const orderRules = (about: { born?: string | undefined; today?: string } = {}) =>
  object({
    diagnosis: needed(),
    prescriber: needed(),
    dayZero: string()
      .required(t('order.needed'))
      .test('born', t('order.beforeBirth'), (day) => !day || !about.born || day >= about.born)
      .test(
        'ahead',
        t('order.dayZeroFar'),
        (day) => !day || !about.today || day <= addDays(about.today, 366),
      ),
    phases: array()
      .of(
        object({
          fromDay: string().test('day', (text, { createError }) => {
            const problem = numberProblem(t('order.fromDay'), text ?? '', 'phases.fromDay');
            return problem === true || createError({ message: problem });
          }),
          lastDay: string().test('last-day', (text, { createError }) => {
            if (text === undefined || text.trim() === '') return true;
            const problem = numberProblem(t('paste.lastDay'), text, 'phases.lastDay');
            return problem === true || createError({ message: problem });
          }),
          limits: array().of(limitRules),
          lock: numberOrNothing(t('order.lock'), 'phases.locks.at.degrees'),
          lockWhen: array().when('lock', {
            is: (lock: string | undefined) => lock !== undefined && lock.trim() !== '',
            then: (times) => times.min(1, t('order.lockWhenNeeded')),
          }),
        }),
      )
      .required(),
    angle: numberOrNothing(t('order.angle'), 'angles.at.degrees'),
    protective: string().required(t('order.needed')),
    trouble: string().required(t('order.needed')),
    wearing: needed(),
  });

/** The order as far as it is typed, when its days can be planned from it; undefined while they cannot. */
export function schedulable(
  values: OrderValues,
  side: Order['side'],
  programme: Programme,
): Order | undefined {
  const rules = orderRules();
  const read = (field: 'dayZero' | 'phases' | 'angle') => {
    try {
      rules.validateSyncAt(field, values);
      return true;
    } catch {
      return false;
    }
  };
  if (!read('dayZero') || !read('phases') || !read('angle')) return undefined;
  const order = orderOf(values, side, programme);
  return orderProblems(order, side).some((found) => 'phase' in found)
    ? undefined
    : replanned(order, []).order;
}
