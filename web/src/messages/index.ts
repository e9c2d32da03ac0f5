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
