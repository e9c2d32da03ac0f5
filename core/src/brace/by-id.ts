import { lazy, object, string, type Schema } from 'yup';

/** What data call a thing, and point to it by. */
export const name = () => string().strict().required().min(1).max(80);

const shaped = (of: Schema, value: object | undefined) =>
  object(Object.fromEntries(Object.keys(value ?? {}).map((id) => [id, of])));

/** Many things by their ids: any id, each of them as one schema says; may be left out. */
export const byId = <T>(of: Schema<T>) =>
  lazy((value: object | undefined) => shaped(of, value).default(undefined)) as unknown as Schema<
    Record<string, T> | undefined
  >;

/** Many things by their ids, none of them perhaps, but said. */
export const allById = <T>(of: Schema<T>) =>
  lazy((value: object | undefined) => shaped(of, value).required()) as unknown as Schema<Record<string, T>>;
