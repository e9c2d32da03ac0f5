import { languages, type Language } from '@estribo/core/access';
import i18next from 'i18next';
import { en } from './en';
import { fetchSpoken, holdSpoken } from './spoken';

declare module 'i18next' {
  interface CustomTypeOptions {
    resources: { translation: typeof en };
    returnNull: false;
  }
}

/** How the dates of a language are written. */
const locales = { en: 'en-GB', es: 'es-ES' } as const satisfies Record<Language, string>;

const keptAs = 'estribo-language';

/** The language this machine was last used in: that of the sign-in. */
const lastUsed = (): Language => {
  const kept = localStorage.getItem(keptAs);
  return languages.find((one) => one === kept) ?? 'en';
};

/** The language of the interface; it changes as a whole, with everything drawn anew. */
export let language: Language = 'en';
export let locale: string = locales.en;

void i18next.init({
  lng: 'en',
  fallbackLng: 'en',
  resources: { en: { translation: en } },
  interpolation: { escapeValue: false },
  showSupportNotice: false,
} as Parameters<typeof i18next.init>[0]);

/**
 * Speaks another language from now on; what stands on the screen has to be drawn anew. One that cannot be fetched now is
 * spoken the next time: nothing waits for it.
 */
export async function speak(next: Language): Promise<void> {
  if (next !== language && next !== 'en' && !i18next.hasResourceBundle(next, 'translation')) {
    const spoken = await fetchSpoken[next]().catch(() => undefined);
    if (!spoken) return;
    holdSpoken(next, spoken);
    i18next.addResourceBundle(next, 'translation', spoken.messages);
  }
  document.documentElement.lang = next;
  if (next === language) return;
  await i18next.changeLanguage(next);
  language = next;
  locale = locales[next];
  localStorage.setItem(keptAs, next);
}

/** The language this machine was last used in, for the sign-in. */
export const speakLastUsed = (): Promise<void> => speak(lastUsed());

export const t = i18next.t;

/** The wording of something the core names by id; the test of the programmes holds that there is one. */
export const named = (group: keyof typeof en, id: string): string => t(`${group}.${id}` as never);

/** A finding in few words, where there is a line for it only. */
export const findingShort = (finding: string): string =>
  named(finding in en.findingShort ? 'findingShort' : 'findings', finding);

/** A family's own wording of something, where it has one. */
export const familyWords = (group: 'stepWhyOf', family: string, id: string): string | undefined =>
  (i18next.getResource(language, 'translation', group) as Record<string, Record<string, string>>)[family]?.[
    id
  ];

/** A family's title: a clinic's own programme carries it, those that ship have it here. */
export const programmeTitle = ({ id, title }: { id: string; title?: string }): string =>
  title ?? named('programmes', id);

/** What a review compares: a reading of the protocol, or one of the review's own figures. */
export const figureTitle = (id: string): string => named(id in en.figures ? 'figures' : 'steps', id);

/** What is made for a language once, and again when another one is spoken: how numbers and days are written. */
export function inLanguage<T>(make: (locale: string) => T): () => T {
  const made = new Map<string, T>();
  return () => {
    if (!made.has(locale)) made.set(locale, make(locale));
    return made.get(locale)!;
  };
}
