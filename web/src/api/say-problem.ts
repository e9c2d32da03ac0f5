import type { ProblemCode } from '@estribo/core/answers';
import { en } from '../messages/en';
import { findingShort, named, t } from '../messages';
import { RefusedError, type ProblemBody } from './http';

/** A refusal's field in words: the last name of its path; nothing for what belongs to no field. */
function fieldName(at: string): string | undefined {
  const name =
    at
      .replace(/\[\d+\]/g, '')
      .split('.')
      .at(-1) ?? '';
  return name in en.fieldNames ? named('fieldNames', name) : undefined;
}

/** What the schemas say of a value, each with what it names. */
const ofSchemas: readonly [words: RegExp, said: keyof typeof en.schemaSays][] = [
  [/^is needed$|^is required/, 'needed'],
  [/^must be (?<least>\S+) or more$/, 'least'],
  [/^must be (?<most>\S+) or less$/, 'most'],
  [/^must be more than 0$/, 'positive'],
  [/^must be a whole number$/, 'whole'],
  [/^must be a finite number$/, 'number'],
  [/^must have (?<n>\d+) characters or more$/, 'longer'],
  [/^must have (?<n>\d+) characters or fewer$/, 'shorter'],
  [/^must have (?<n>\d+) or more$/, 'more'],
  [/^must have (?<n>\d+) or fewer$/, 'fewer'],
  [/^must not begin or end with spaces$/, 'spaces'],
  [/^must be one of (?<words>.+)$/, 'oneOf'],
  [/^must be a date/, 'date'],
  [/^has no sign that can be seen$/, 'visible'],
];

/** What was wrong in words: a code that the screens have words for, or the sentence that the server gave. */
function wrong(message: string): string {
  for (const group of ['orderProblem', 'wearProblem'] as const)
    if (message in en[group]) return named(group, message);
  for (const [words, said] of ofSchemas) {
    const found = words.exec(message);
    if (found) return t(`schemaSays.${said as 'least'}`, { least: '', ...found.groups });
  }
  const blocked = /^is not taken while ([a-z-]+) blocks the fitting$/.exec(message)?.[1];
  return blocked && blocked in en.findings
    ? t('outbox.blocked', { finding: findingShort(blocked) })
    : message;
}

/** Whether it is a part of a sentence, said of a field. */
const isOfField = (message: string): boolean => /^(is|are|has|must|names|lies|may) /.test(message);

/** A refusal's sentence by its code; as the server wrote it where the screens have no words for it. */
function sentence({ code, params, detail }: Pick<ProblemBody, 'code' | 'params' | 'detail'>): string {
  if (code === undefined || !(code in en.refused)) return detail;
  const { role, kind } = params ?? {};
  return t(`refused.${code as ProblemCode}`, {
    ...params,
    ...(typeof role === 'string' && role in en.roles ? { role: named('roles', role) } : {}),
    ...(typeof kind === 'string' && kind in en.kinds ? { kind: named('kinds', kind) } : {}),
  });
}

/** What a refusal says, with its fields named as the screen names them. */
export const sayProblem = ({
  faults,
  ...said
}: Pick<ProblemBody, 'code' | 'params' | 'detail' | 'faults'>): string =>
  faults && faults.length > 0
    ? faults
        .map(({ at, message }) => {
          const [name, said] = [fieldName(at), wrong(message)];
          return name && isOfField(message) ? t('refusedField', { name, said }) : said;
        })
        .join(' ')
    : sentence(said);

/**
 * What stands in the way of something that was sent: the refusal, or that no answer came.
 * @param away what is said when no answer came
 */
export const sayRefusal = (error: unknown, away: string = t('common.away')): string =>
  error instanceof RefusedError ? sayProblem(error.problem) : away;

/**
 * What a refusal says about the fields of a form, by their names; under '' what belongs to none.
 * @param away what is said when no answer came
 */
export function formProblems(error: unknown, away: string): Record<string, string> {
  if (!(error instanceof RefusedError)) return { '': away };
  const { faults, ...said } = error.problem;
  return faults
    ? Object.fromEntries(faults.map(({ at, message }) => [at, wrong(message)]))
    : { '': sentence(said) };
}
