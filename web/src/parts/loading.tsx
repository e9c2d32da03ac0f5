import { t } from '../messages';
import { Notice } from './notice';

/** While something is fetched, or when nobody answers. */
export function Loading({ away }: { away: boolean }) {
  return (
    <div style={{ padding: 24 }}>
      {away ? (
        <Notice tone="caution" live>
          {t('common.away')}
        </Notice>
      ) : (
        <p role="status">{t('common.loading')}</p>
      )}
    </div>
  );
}
