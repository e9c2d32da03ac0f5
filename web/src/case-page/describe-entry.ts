import { isKind, type AnyRecordedEntry, type CaseState, type RecordLine } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import type { Described, DescribedWith, Describers } from '../case/describers';
import { describers as checking } from '../checking/describe';
import { describers as measuring } from '../measuring/describe';
import { t } from '../messages';
import { describers as reviewing } from '../reviewing/describe';
import { describers as screening } from '../screening/describe';
import { describers as setting } from '../setting/describe';
import { describers as shaping } from '../shaping/describe';
import { describers as sizing } from '../sizing/describe';
import { describers as strapping } from '../strapping/describe';
import { describers as wearing } from '../wearing/describe';
import { describers as ofCase } from './describe';

const describers: Required<Describers> = {
  ...ofCase,
  ...screening,
  ...measuring,
  ...sizing,
  ...setting,
  ...shaping,
  ...strapping,
  ...checking,
  ...wearing,
  ...reviewing,
};

const describe = (entry: AnyRecordedEntry, of: DescribedWith): Described =>
  (describers[entry.kind] as (entry: AnyRecordedEntry, of: DescribedWith) => Described)(entry, of);

/**
 * A line of the record in words, short enough for one line of the screen.
 * @param nameOf a user's name
 */
export const describeEntry = (
  { entry, status }: Pick<RecordLine, 'entry' | 'status'>,
  state: CaseState,
  unit: LengthUnit,
  nameOf: (user: string) => string = () => '',
): Described =>
  status === 'unreadable' || !isKind(entry.kind)
    ? { title: t('entry.unreadable'), rest: String(entry.kind) }
    : describe(entry, { state, unit, nameOf });

/** What the server computed in the place of a decision that is not in force. */
export function describeOtherwise(entry: AnyRecordedEntry, state: CaseState, unit: LengthUnit): string {
  if (!entry.otherwise) return t('record.nothingComputed');
  const otherwise = { ...entry, body: entry.otherwise } as AnyRecordedEntry;
  return describe(otherwise, { state, unit, nameOf: () => '' }).value ?? '';
}
