import '@fontsource-variable/atkinson-hyperlegible-next';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/app';
import { Net } from './frame/net';
import { applyTheme } from './browser/preferences';
import { speakLastUsed } from './messages';

applyTheme();
await speakLastUsed();
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Net>
      <App />
    </Net>
  </StrictMode>,
);
