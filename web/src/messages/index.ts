import { languages, type Language } from '@estribo/core/access';
import i18next from 'i18next';
import { en } from './en';
import { es } from './es';

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
export let language: Language = lastUsed();
export let locale: string = locales[language];

void i18next.init({
  lng: language,
  fallbackLng: 'en',
  resources: { en: { translation: en }, es: { translation: es } },
  interpolation: { escapeValue: false },
  showSupportNotice: false,
} as Parameters<typeof i18next.init>[0]);

/** Speaks another language from now on; what stands on the screen has to be drawn anew. */
export function speak(next: Language): void {
  document.documentElement.lang = next;
  if (next === language) return;
  language = next;
  locale = locales[next];
  localStorage.setItem(keptAs, next);
  // both languages are here: it holds at once
  void i18next.changeLanguage(next);
}

export const t = i18next.t;

/** The wording of something the core names by id; the test of the programmes holds that there is one. */
export const named = (group: keyof typeof en, id: string): string => t(`${group}.${id}` as never);

/** A family's own wording of something, where it has one. */
export const familyWords = (group: 'stepWhyOf', family: string, id: string): string | undefined =>
  ({ en, es })[language][group][family as never]?.[id];

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
