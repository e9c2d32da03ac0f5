import type { BodyOf, CaseState } from '@estribo/core/logbook';
import { operationsOf } from '@estribo/core/programmes';
import { measuredOf } from '@estribo/core/shaping';
import type { LengthUnit } from '@estribo/core/quantity';
import { named, t } from '../messages';
import { operationWords, partName } from '../messages/fitting';
import { formatDistance } from '../parts/format';

/** One time that work was done, in words: on what, where, how much, which way. */
export function formatWork(
  { programme }: CaseState,
  { operation: id, part, at, amount, direction, way }: Omit<BodyOf<'work.done'>, 'inSpite'>,
  unit: LengthUnit,
): string {
  const operation = operationsOf(programme).find((one) => one.id === id);
  const measured = operation && measuredOf(operation);
  return [
    part === undefined ? '' : partName(programme, part),
    way === undefined ? '' : (operationWords(programme, id).ways?.[way] ?? named('workWay', way)),
    at === undefined ? '' : formatDistance(at, unit),
    amount === undefined
      ? ''
      : measured?.unit === 'mm' || operation?.kind === 'pad'
        ? formatDistance(amount, unit)
        : measured?.unit === 'minutes'
          ? t('common.minutes', { count: amount })
          : `${amount}°`,
    direction === undefined ? '' : named('direction', direction),
  ]
    .filter(Boolean)
    .join(', ');
}
