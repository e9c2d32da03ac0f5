import '@fontsource-variable/atkinson-hyperlegible-next';
import { Component, StrictMode, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { App, Broken } from './app/app';
import { applyTheme } from './app/preferences';

/** React asks for a class here: nothing else catches what a screen throws while it is drawn. */
class Net extends Component<{ children: ReactNode }, { broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override render() {
    return this.state.broken ? <Broken /> : this.props.children;
  }
}

applyTheme();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Net>
      <App />
    </Net>
  </StrictMode>,
);
