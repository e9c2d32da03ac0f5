/** Colours by what they stand for; the same names in both themes. */
const light = {
  ground: '#F6F2EA',
  sheet: '#FFFDF8',
  ink: '#22201C',
  soft: '#635C50',
  line: '#D9CFBF',
  edge: '#8B7F6C',
  saddle: '#7A4226',
  saddleDeep: '#4A2412',
  thread: '#E3C7A8',
  webbing: '#E3C7A8',
  brass: '#B3924F',
  river: '#1C5C68',
  riverDeep: '#123F48',
  riverWash: '#D5E5E6',
  onRiver: '#FFFFFF',
  moss: '#47632F',
  mossWash: '#E1E8D4',
  ochre: '#855608',
  ochreWash: '#F4E6C8',
  madder: '#9C2226',
  madderWash: '#F6DEDB',
  skin: '#EAD9C5',
  skinLine: '#5A4636',
  skinForm: '#C4A98D',
  band: '#EDE5D8',
} as const;

const dark: Record<Token, string> = {
  ground: '#1D1A16',
  sheet: '#272320',
  ink: '#F0EAE0',
  soft: '#BDB2A3',
  line: '#4A4238',
  edge: '#8F8371',
  saddle: '#8A4E2E',
  saddleDeep: '#3A1D10',
  thread: '#E3C7A8',
  webbing: '#77634F',
  brass: '#D2B26E',
  river: '#86C5CF',
  riverDeep: '#B5DFE5',
  riverWash: '#21434A',
  onRiver: '#10282D',
  moss: '#A9C983',
  mossWash: '#2F3B22',
  ochre: '#E7B75F',
  ochreWash: '#463616',
  madder: '#F2938F',
  madderWash: '#4A2422',
  skin: '#6B5646',
  skinLine: '#E0CDB8',
  skinForm: '#937964',
  band: '#352F29',
};

export type Token = keyof typeof light;
export const themes = { light, dark } as const;

/** A token as a CSS value. */
export const color = (token: Token) => `var(--${token})`;

/** Few sizes, in px. */
export const size = { small: '13px', text: '15px', lead: '18px', title: '24px', figure: '40px' } as const;

export const variables = (theme: Record<Token, string>) =>
  Object.entries(theme)
    .map(([name, value]) => `--${name}: ${value};`)
    .join('\n');

/** Where a page has one column: a phone, a window zoomed to 200 % and more. */
export const narrow = '@media screen and (max-width: 720px), screen and (max-height: 440px)';
