import { en } from '../messages/en';
import { findingShort, named, t } from '../messages';
import type { ProblemBody } from './http';

/** A refusal's field in words: the last name of its path; nothing for what belongs to no field. */
function fieldName(at: string): string | undefined {
  const name =
    at
      .replace(/\[\d+\]/g, '')
      .split('.')
      .at(-1) ?? '';
  return name in en.fieldNames ? named('fieldNames', name) : undefined;
}

/** What was wrong in words: a code that the screens have words for, or the sentence that the server gave. */
function wrong(message: string): string {
  for (const group of ['orderProblem', 'wearProblem'] as const)
    if (message in en[group]) return named(group, message);
  const blocked = /^is not taken while ([a-z-]+) blocks the fitting$/.exec(message)?.[1];
  return blocked && blocked in en.findings
    ? t('outbox.blocked', { finding: findingShort(blocked) })
    : message;
}

/** What a refusal says, with its fields named as the screen names them. */
export const sayProblem = ({ detail, faults }: Pick<ProblemBody, 'detail' | 'faults'>): string =>
  faults && faults.length > 0
    ? faults
        .map(({ at, message }) => {
          const [name, said] = [fieldName(at), wrong(message)];
          return name && said === message ? `${name} ${said}.` : said;
        })
        .join(' ')
    : detail;
