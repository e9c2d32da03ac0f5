import { t } from '../messages';
import { Notice } from '../parts/notice';

/** What does not hold without TLS, where the connection has none. */
export function NotSecure() {
  return window.isSecureContext === false ? <Notice tone="caution">{t('signIn.notSecure')}</Notice> : null;
}
