import '@fontsource-variable/atkinson-hyperlegible-next';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { App } from './app/app';
import { Net } from './app/net';
import { applyTheme } from './app/preferences';
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
