/** Paper, sea-ink and one brass accent. Every pair used for text is at least 4.5:1 (checked by axe in the journeys). */
export interface Theme {
  /** For the browser's own controls. */
  scheme: 'light' | 'dark';
  paper: string;
  sheet: string;
  rule: string;
  ink: string;
  inkSoft: string;
  deep: string;
  deepInk: string;
  deepSoft: string;
  brass: string;
  brassInk: string;
  chalk: string;
  wash: string;
  focus: string;
}

export const day: Theme = {
  scheme: 'light',
  paper: '#ece8dd',
  sheet: '#f8f5ec',
  rule: '#c9c2b0',
  ink: '#16303f',
  inkSoft: '#4c606b',
  deep: '#123445',
  deepInk: '#f3efe3',
  deepSoft: '#b4c6cd',
  brass: '#7d520c',
  brassInk: '#fff9ec',
  chalk: '#9b2f22',
  wash: '#dde5e4',
  focus: '#a8690a',
};

export const night: Theme = {
  scheme: 'dark',
  paper: '#0d1a22',
  sheet: '#14252f',
  rule: '#34495a',
  ink: '#e9e3d3',
  inkSoft: '#a9b6ba',
  deep: '#07121a',
  deepInk: '#f1ead9',
  deepSoft: '#9db1b9',
  brass: '#e0ad57',
  brassInk: '#1d1403',
  chalk: '#f08a78',
  wash: '#1e3542',
  focus: '#f0c274',
};

export const serif = "'Alegreya', Georgia, serif";
export const sans = "'Source Sans 3', system-ui, sans-serif";
