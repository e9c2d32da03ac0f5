/** Messages of the same keys in another language: a missing one is a fault of types. */
export type SameShape<T> = { [K in keyof T]: T[K] extends string ? string : SameShape<T[K]> };
