import { schemaFault } from '@estribo/core/faults';
import { boundsOf, kinds, type BodyOf, type Bounds, type KindName } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import type { EntryStage } from '@estribo/core/record';
import type { FieldValues } from 'react-hook-form';
import { ValidationError } from 'yup';
import { sayFault } from '../api/say-problem';
import { useWork } from '../case/case-context';
import { t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { formatDistance, formatReading, signed } from '../parts/format';
import { readQuantity, type Quantity } from '../parts/reading-field';
import { useTypedForm, type Problems, type TypedForm } from './use-typed-form';

/** A number that is typed in a field of the form. */
export interface NumberField {
  label: string;
  quantity: Quantity;
  /** where it goes in the entry's body, for its bounds; the field's own name where it says nothing */
  path?: string;
  /** bounds that are none of the entry's schema */
  bounds?: Omit<Bounds, 'whole'>;
  /** what stands behind a number of no unit */
  sign?: string;
}

/** Reads the numbers of a form; what cannot be read is a problem of its field. */
export interface Numbers<Typed> {
  /** a number that must be there; NaN where it cannot be read, and then nothing is sent */
  number: (field: keyof Typed & string, of: NumberField) => number;
  /** one that may stay empty */
  numberOrNone: (field: keyof Typed & string, of: NumberField) => number | undefined;
  /** what else is wrong with a field, or with the form as a whole */
  wrong: (field: (keyof Typed & string) | 'root', problem: string) => void;
}

/**
 * The form of an entry: its numbers are read in the unit they are typed in, held against the bounds that the entry's schema has, and
 * the whole is validated by that schema before it is written.
 * @param draft what it is typed for, within the case
 * @param body the entry's body, from what was typed
 * @param done what follows once it is written
 */
export function useEntryForm<Typed extends FieldValues, K extends KindName>({
  kind,
  stage,
  draft,
  empty,
  body,
  done,
}: {
  kind: K;
  stage: EntryStage;
  draft: string;
  empty: Typed;
  body: (typed: Typed, read: Numbers<Typed>) => BodyOf<K>;
  done?: () => void;
}): TypedForm<Typed> {
  const { state, unit, write } = useWork();
  return useTypedForm<Typed, BodyOf<K>>({
    draft: `${state.case}-${draft}`,
    empty,
    read: (typed) => {
      const problems: Problems<Typed> = {};
      const wrong = (field: (keyof Typed & string) | 'root', problem: string) => {
        problems[field] ??= problem;
      };
      const number = (field: keyof Typed & string, of: NumberField): number => {
        const { label, quantity, path = field, bounds, sign = '' } = of;
        const read = readQuantity(String(typed[field] ?? ''), quantity, unit);
        if ('problem' in read) {
          wrong(field, read.problem);
          return NaN;
        }
        const problem = boundsProblem(
          label,
          read.value,
          bounds ? { ...bounds, whole: false } : boundsOf(kind, path),
          (bound) => formatBound(bound, quantity, unit, sign),
        );
        if (problem) wrong(field, problem);
        return read.value;
      };
      const sent = body(typed, {
        number,
        numberOrNone: (field, of) =>
          String(typed[field] ?? '').trim() === '' ? undefined : number(field, of),
        wrong,
      });
      if (Object.keys(problems).length > 0) return { problems };
      try {
        kinds[kind].body.validateSync(sent, { strict: true });
        return { sent };
      } catch (error) {
        if (!(error instanceof ValidationError)) throw error;
        return {
          problems: {
            root: t('entryForm.refused', { why: sayFault(schemaFault(error)) }),
          } as Problems<Typed>,
        };
      }
    },
    send: async (sent) => {
      await write(kind, stage, sent);
      done?.();
    },
  });
}

function formatBound(bound: number, quantity: Quantity, unit: LengthUnit, sign: string): string {
  switch (quantity) {
    case 'length':
      return formatReading(bound, 'mm', unit);
    case 'distance':
      return formatDistance(bound, unit);
    case 'mass':
      return formatReading(bound, 'kg', unit);
    case 'degrees':
      return `${signed(bound)}°`;
    default:
      return sign ? `${signed(bound)} ${sign}` : signed(bound);
  }
}
