import { Component, type ReactNode } from 'react';
import { t } from '../messages';
import { Notice } from '../parts/notice';

/**
 * Catches what a screen throws while it is drawn; the outbox outside goes on sending. React asks for a class
 * here, nothing else catches it.
 */
export class Net extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    return (
      <div style={{ padding: 40 }}>
        <Notice tone="stop" live>
          {t('common.broken')} <a href={location.pathname}>{t('common.loadAgain')}</a>
        </Notice>
      </div>
    );
  }
}
