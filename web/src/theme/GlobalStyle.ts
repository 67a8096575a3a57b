import { createGlobalStyle } from 'styled-components';
import { sans, serif } from './tokens.ts';

export const GlobalStyle = createGlobalStyle`
  @font-face { font-family: 'Source Sans 3'; src: url('/fonts/SourceSans3-Regular.woff2') format('woff2'); font-weight: 400; font-display: swap; }
  @font-face { font-family: 'Source Sans 3'; src: url('/fonts/SourceSans3-Semibold.woff2') format('woff2'); font-weight: 600; font-display: swap; }
  @font-face { font-family: 'Alegreya'; src: url('/fonts/Alegreya.woff2') format('woff2'); font-weight: 400 700; font-display: swap; }
  @font-face { font-family: 'Alegreya'; src: url('/fonts/Alegreya-Italic.woff2') format('woff2'); font-style: italic; font-weight: 400; font-display: swap; }
  *, *::before, *::after { box-sizing: border-box; }
  html { color-scheme: ${({ theme }) => theme.scheme}; }
  html, body, #root { height: 100%; }
  body { margin: 0; background: ${({ theme }) => theme.paper}; color: ${({ theme }) => theme.ink}; font: 400 15.5px/1.4 ${sans}; font-variant-numeric: tabular-nums lining-nums; -webkit-font-smoothing: antialiased; }
  h1, h2, h3 { font-family: ${serif}; font-weight: 600; margin: 0; line-height: 1.15; }
  p { margin: 0; }
  button, input, textarea, select { font: inherit; color: inherit; }
  a { color: inherit; }
  :focus-visible { outline: 2.5px solid ${({ theme }) => theme.focus}; outline-offset: 2px; }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
  @page { margin: 22mm 20mm; }
  @media print {
    html, body, #root { height: auto; }
    body { background: #fff; color: #000; font-size: 11.5pt; }
  }
`;
