import { createGlobalStyle } from 'styled-components';
import { color, size, themes, variables } from './tokens';

export const GlobalStyle = createGlobalStyle`
  :root { color-scheme: light; ${variables(themes.light)} }
  @media (prefers-color-scheme: dark) {
    :root:not([data-theme='light']) { color-scheme: dark; ${variables(themes.dark)} }
  }
  :root[data-theme='dark'] { color-scheme: dark; ${variables(themes.dark)} }
  *, *::before, *::after { box-sizing: border-box; }
  html { height: 100%; }
  body {
    margin: 0; min-height: 100%;
    background: ${color('ground')}; color: ${color('ink')};
    font-family: 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif;
    font-size: ${size.text}; line-height: 1.4;
    font-variant-numeric: tabular-nums;
  }
  h1, h2, h3, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  h1 { font-size: ${size.title}; line-height: 1.25; font-weight: 700; }
  h2 { font-size: ${size.lead}; line-height: 1.3; font-weight: 700; }
  h3 { font-size: ${size.text}; line-height: 1.3; font-weight: 700; }
  ul, ol { list-style: none; }
  button, input, textarea, select { font: inherit; color: inherit; }
  a { color: ${color('river')}; }
  :focus-visible, [data-focus-visible] { outline: 3px solid ${color('river')}; outline-offset: 2px; }
  /* a heading takes the focus when its stage opens; it is no control */
  h1:focus { outline: none; }
  @media (prefers-reduced-motion: reduce) {
    *, *::before, *::after { animation: none !important; transition: none !important; scroll-behavior: auto !important; }
  }
  @media print {
    body { background: #fff; }
    nav, [data-no-print] { display: none !important; }
  }
`;
