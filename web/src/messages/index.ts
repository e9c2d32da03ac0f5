import i18next from 'i18next';
import { en } from './en';

declare module 'i18next' {
  interface CustomTypeOptions {
    resources: { translation: typeof en };
    returnNull: false;
  }
}

/** The language of the interface; another one is one more file like en.ts. */
export const language = 'en';

/** How its dates are written. */
export const locale = 'en-GB';

void i18next.init({
  lng: language,
  fallbackLng: 'en',
  resources: { en: { translation: en } },
  interpolation: { escapeValue: false },
  showSupportNotice: false,
} as Parameters<typeof i18next.init>[0]);

export const t = i18next.t;

/** The wording of something the core names by id; the test of the programmes holds that there is one. */
export const named = (group: keyof typeof en, id: string): string => t(`${group}.${id}` as never);

/** A family's own wording of something, where it has one. */
export const familyWords = (group: 'stepWhyOf', family: string, id: string): string | undefined =>
  (en[group] as Record<string, Record<string, string>>)[family]?.[id];

/** A family's title: a clinic's own programme carries it, those that ship have it here. */
export const programmeTitle = ({ id, title }: { id: string; title?: string }): string =>
  title ?? named('programmes', id);

/** What a review compares: a reading of the protocol, or one of the review's own figures. */
export const figureTitle = (id: string): string => named(id in en.figures ? 'figures' : 'steps', id);
