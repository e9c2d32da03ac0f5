export const languages = ['en', 'es'] as const;
/** The language somebody who signs in works in. */
export type Language = (typeof languages)[number];
