import type { Role } from '@estribo/core/access';

/** The demo clinic: invented, like everybody in it. */
export const demoClinic = { name: 'Ribanova orthotic workshop', zone: 'Europe/Madrid' };

/** The password of every demo sign-in. */
export const demoPassword = 'ribanova-demo';

export const demoStaff: readonly { login: string; name: string; role: Role }[] = [
  { login: 'ana', name: 'Ana Bouza', role: 'orthotist' },
  { login: 'teo', name: 'Teo Varela', role: 'technician' },
  { login: 'marga', name: 'Marga Rial', role: 'reception' },
  { login: 'lia', name: 'Lia Couso', role: 'reader' },
  { login: 'iago', name: 'Iago Lema', role: 'administrator' },
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
] as const;

export type DemoName = (typeof demoPeople)[number][0];
