import type { SchemaDescription } from 'yup';
import { kinds, type KindName } from './kinds';

/** From where to where a number of an entry may go; an end that is absent is open. */
export interface Bounds {
  least?: number;
  most?: number;
  whole: boolean;
}

type Described = SchemaDescription & { fields?: Record<string, Described>; innerType?: Described };

/**
 * The bounds of a number in an entry's body, as the schema that takes it has them: what a form says before it sends.
 * @param path of the field, its names joined by dots; a list's field stands under the list's name
 */
export function boundsOf(kind: KindName, path: string): Bounds {
  let at = kinds[kind].body.describe() as Described | undefined;
  for (const name of path.split('.')) at = (at?.innerType ?? at)?.fields?.[name];
  const tests = at?.tests ?? [];
  const of = (name: string) => tests.find((test) => test.name === name)?.params?.[name] as number | undefined;
  const [least, most] = [of('min'), of('max')];
  return {
    ...(least === undefined ? {} : { least }),
    ...(most === undefined ? {} : { most }),
    whole: tests.some(({ name }) => name === 'integer'),
  };
}
