import type { FaultCode, FaultParams } from '@estribo/core/faults';
import { en } from '../messages/en';
import { findingShort, locale, named, t } from '../messages';
import { RefusedError, type Fault, type ProblemBody } from './http';

/** A refusal's field in words: the last name of its path; nothing for what belongs to no field. */
function fieldName(at: string): string | undefined {
  const name =
    at
      .replace(/\[\d+\]/g, '')
      .split('.')
      .at(-1) ?? '';
  return name in en.fieldNames ? named('fieldNames', name) : undefined;
}

/** What a fault names by an id of the core, and under which heading the screens have words for it. */
const headings = { finding: 'findings', kind: 'kinds', role: 'roles', problem: 'bendProblem' } as const;

/** What is named, in words of the screen. */
const inWords = (params: FaultParams): FaultParams =>
  Object.fromEntries(
    Object.entries(params).map(([name, value]) => {
      const heading = name in headings ? headings[name as keyof typeof headings] : undefined;
      if (heading === undefined || !(value in en[heading])) return [name, value];
      return [name, heading === 'findings' ? findingShort(String(value)) : named(heading, String(value))];
    }),
  );

/** Faults whose whole sentence is another's: it is no part of one that begins with a field's name. */
const ofOthers: Partial<Record<FaultCode, 'orderProblem' | 'wearProblem'>> = {
  'order-wrong': 'orderProblem',
  'plan-wrong': 'wearProblem',
};

/** What was wrong in words: by its code, or the sentence that the server gave. */
function wrong({ code, params = {}, message }: Fault): string {
  if (code === undefined || !(code in en.faults)) return message;
  const group = ofOthers[code as FaultCode];
  if (group) return String(params.problem) in en[group] ? named(group, String(params.problem)) : message;
  return said(`faults.${code}`, params);
}

/** A sentence under its key, with what it names. */
const said = (key: string, params: FaultParams): string => String(t(key as never, inWords(params) as never));

/** A fault with its field named as the screen names it. */
export function sayFault(fault: Fault): string {
  const name = fieldName(fault.at);
  const said = wrong(fault);
  const isOfField = fault.code !== undefined && !(fault.code in ofOthers);
  return name && isOfField ? t('refusedField', { name, said }) : said;
}

/** A refusal's sentence by its code; as the server wrote it where the screens have no words for it. */
function sentence({ code, params, detail }: Pick<ProblemBody, 'code' | 'params' | 'detail'>): string {
  if (code === undefined || !(code in en.refused)) return detail;
  return said(`refused.${code}`, params ?? {});
}

/** What a refusal says, with its fields named as the screen names them. */
export const sayProblem = ({
  faults,
  ...said
}: Pick<ProblemBody, 'code' | 'params' | 'detail' | 'faults'>): string =>
  faults && faults.length > 0 ? faults.map(sayFault).join(' ') : sentence(said);

/**
 * What stands in the way of something that was sent: the refusal, or that no answer came.
 * @param away what is said when no answer came
 */
export const sayRefusal = (error: unknown, away: string = t('common.away')): string =>
  error instanceof RefusedError ? sayProblem(error.problem) : away;

/** What is wrong with a field, as a sentence of its own beside it. */
const alone = (words: string): string =>
  `${words.charAt(0).toLocaleUpperCase(locale)}${words.slice(1)}${/[.?!]$/.test(words) ? '' : '.'}`;

/**
 * What a refusal says about the fields of a form, by their names; under '' what belongs to none.
 * @param away what is said when no answer came
 */
export function formProblems(error: unknown, away: string): Record<string, string> {
  if (!(error instanceof RefusedError)) return { '': away };
  const { faults, ...said } = error.problem;
  return faults
    ? Object.fromEntries(faults.map((fault) => [fault.at, alone(wrong(fault))]))
    : { '': sentence(said) };
}
