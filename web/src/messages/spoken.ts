import type { Language } from '@estribo/core/access';
import type { FamilyWords } from '@estribo/core/programmes';
import type { en } from './en';
import type { familiesEn } from './fitting/families';
import type { SameShape } from './same-shape';

/** What another language than English brings: fetched when somebody first speaks it here. */
export interface Spoken {
  messages: SameShape<typeof en>;
  families: SameShape<typeof familiesEn>;
}

export const fetchSpoken: Record<Exclude<Language, 'en'>, () => Promise<Spoken>> = {
  es: async () => {
    const [{ es }, { familiesEs }] = await Promise.all([import('./es'), import('./fitting/es')]);
    return { messages: es, families: familiesEs };
  },
};

const held = new Map<Language, Spoken>();
export const holdSpoken = (language: Language, spoken: Spoken): void => void held.set(language, spoken);

/** What families say in a language; none where nothing is translated. */
export const familiesIn = (language: Language): Record<string, FamilyWords> =>
  held.get(language)?.families ?? {};
