import type { Role } from '@estribo/core/access';

/** The demo clinic: invented, like everybody in it. */
export const demoClinic = {
  name: 'Ribanova orthotic workshop',
  zone: 'Europe/Madrid',
  phone: '555 0142, Monday to Friday, 8 to 18',
  emergency: '112',
  // none ships: a clinic writes its own
  wearRule: null,
  letterhead: 'Ribeira road 4, Ribanova',
};

/** The password of every demo sign-in. */
export const demoPassword = 'ribanova-demo';

export const demoStaff: readonly { login: string; name: string; role: Role }[] = [
  { login: 'ana', name: 'Ana Bouza', role: 'orthotist' },
  { login: 'teo', name: 'Teo Varela', role: 'technician' },
  { login: 'marga', name: 'Marga Rial', role: 'reception' },
  { login: 'lia', name: 'Lia Couso', role: 'reader' },
  { login: 'iago', name: 'Iago Lema', role: 'administrator' },
  { login: 'xela', name: 'Xela Dopazo', role: 'orthotist' },
];

export const demoPeople = [
  ['Iria', 'Castrelo', '1998-04-12'],
  ['Bento', 'Lousado', '1971-09-30'],
  ['Marta', 'Quintela', '1984-01-22'],
  ['Xoel', 'Barreiro', '2004-06-03'],
  ['Sabela', 'Outeiro', '1990-11-17'],
  ['Roi', 'Teixeira', '1966-02-08'],
  ['Uxia', 'Seoane', '2001-08-25'],
  ['Antón', 'Freire', '1979-12-05'],
  ['Noa', 'Pazos', '1995-03-19'],
  ['Brais', 'Couto', '1988-07-11'],
  ['Carme', 'Loira', '1959-10-02'],
  ['Fiz', 'Ameneiro', '2010-05-14'],
  ['Elvira', 'Rego', '1946-02-19'],
  ['Moncho', 'Vilar', '1963-08-07'],
  ['Xián', 'Pereiro', '2022-03-11'],
  ['Dores', 'Amil', '1982-10-24'],
  ['Lois', 'Taboada', '1999-06-15'],
  ['Pilar', 'Fontán', '1957-05-21'],
  ['Breixo', 'Salgado', '1987-02-03'],
  ['Amaro', 'Cancela', '1976-04-30'],
  ['Ramón', 'Lestegás', '1951-07-19'],
  ['Aldara', 'Vence', '2013-02-27'],
] as const;

/** Who is expected today and has no case yet. */
export const demoFirstVisits: readonly { who: DemoName; time: string; note: string | null }[] = [
  { who: 'Ramón', time: '09:00', note: 'brings the referral' },
  { who: 'Aldara', time: '12:40', note: null },
];

export type DemoName = (typeof demoPeople)[number][0];

/** Schedules that are invented for the demonstration, and recommend nothing. */
export const demoTemplates = [
  {
    name: 'Ribanova, four steps',
    text: 'wk 0-1 0-30 locked 0 walking; wk 2-3 0-60; wk 4-5 0-90; wk 6+ 0-120',
  },
  { name: 'Ribanova, slow start', text: 'wk 0-2 10-40 NWB; wk 3-5 10-70 PWB; wk 6+ 0-110 WBAT' },
] as const;
