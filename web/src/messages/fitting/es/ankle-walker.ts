import type { SameShape } from '../../same-shape';
import type { familiesEn } from '../families';
import { refill, skin, toes } from './shared';

export const ankleWalker: SameShape<(typeof familiesEn)['ankle-walker']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  settings: {
    'ankle-angle': {
      name: 'Tobillo en la bota',
      how: 'Neutro, 90 como viene impreso, salvo que se prescriba en punta: entonces con cuñas, que salen según el plan.',
      caution: 'Un pie en punta acorta el tendón de Aquiles.',
    },
    'heel-wedges': {
      name: 'Cuñas de talón',
      how: 'Solo para un equino prescrito, tantas como den el ángulo prescrito; salen según las fases de la orden.',
      caution: 'Un pie en punta acorta el tendón de Aquiles: solo como se ordenó, y fuera a tiempo.',
      unit: 'cuñas',
    },
    'lift-other-shoe': {
      name: 'Alza para el otro zapato',
      how: 'Una suela alta inclina la pelvis: un zapato plano y normal en el otro pie; alza solo si se calcula y se prueba.',
    },
    'strokes-of-air': {
      name: 'Bombeos de aire',
      how: 'Después de las cinchas, hasta que ajuste todo alrededor; antes de nuevo si es muy activo. Fuera el aire antes de volar.',
      unit: 'bombeos',
    },
  },
  parts: {
    'boot-liner': 'Forro',
    'boot-shell': 'Bota',
    'boot-sole': 'Suela',
    'cell-lateral': 'Celda de aire',
    'strut-medial': 'Montante interior',
    'strut-lateral': 'Montante exterior',
    'strap-toes': 'Cincha de los dedos',
    'strap-instep': 'Cincha del empeine',
    'strap-ankle': 'Cincha del tobillo',
    'strap-shin': 'Cincha de la espinilla',
    'strap-calf': 'Cincha de la pantorrilla',
    'air-valve': 'Válvula',
  },
  operations: {
    'loose-pads': {
      name: 'Almohadillas sueltas donde las cinchas se clavan',
      how: 'Bajo la cincha, borde con borde.',
    },
  },
  steps: {
    'long-sock': { name: 'Calcetín largo', hold: 'Sin pantalón dentro; sin pliegues en el talón.' },
    'air-out': { name: 'Sacar el aire', hold: 'Todas las celdas planas.' },
    'into-the-liner': {
      name: 'El pie en el botín interior',
      hold: 'El talón al fondo, el tobillo en el ángulo prescrito.',
      caution: 'Un pie en punta acorta el tendón de Aquiles: en punta solo lo prescrito, con cuñas.',
    },
    'into-the-boot': { name: 'El botín en la bota', hold: 'El talón al fondo también en la bota.' },
    'load-the-heel': {
      name: 'Cargar el talón',
      hold: 'Sobre la rodilla, un taburete o el suelo: no se levanta mientras se tiran las tiras.',
    },
    'strut-strips': {
      name: 'Quitar las tiras de las barras',
      hold: 'Solo ahora: el talón abajo y el tobillo en su ángulo.',
    },
    'strap-toes': {
      name: 'Cincha del antepié',
      hold: 'Se empieza por los dedos. Más floja con fractura del pie.',
      caution: 'De los dedos hacia arriba, nunca al revés: la hinchazón no debe ir a los dedos.',
    },
    'strap-toes-looser': {
      name: 'Cincha del antepié, más floja',
      hold: 'Empiece por los dedos. Más floja: el pie está roto.',
      caution: 'De los dedos hacia arriba, nunca hacia abajo: la hinchazón no debe ir a los dedos.',
    },
    'strap-instep': { name: 'Cincha del empeine', hold: 'El talón sigue atrás.' },
    'strap-ankle': { name: 'Cincha del tobillo', hold: 'La misma tensión.' },
    'strap-shin': { name: 'Cincha de la espinilla', hold: 'Una almohadilla suelta debajo donde se clave.' },
    'strap-calf': { name: 'Cincha de la pantorrilla', hold: 'La última.' },
    'toes-first': { name: 'Mirar los dedos', hold: 'Calientes y con sensibilidad, antes del aire.' },
    'air-in': {
      name: 'Válvula en llenar, luego aire',
      hold: 'De cuatro a cinco bombeos, ajustado todo alrededor. De nuevo cada dos días o así, antes si es muy activo.',
    },
    'sit-and-look': { name: 'Sentarse y mirar de nuevo', hold: 'Otra vez los dedos; la bota se asienta.' },
    'straps-off': {
      name: 'Abrir las cinchas',
      hold: 'Cada gancho doblado sobre su propia cincha; fuera el aire.',
    },
    'foot-out': { name: 'Sacar el pie de bota y botín', hold: 'Primero el talón hacia atrás.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'ankle-as-ordered': {
      name: 'Tobillo en el ángulo prescrito',
      how: 'La planta apoyada en la de la bota, o en sus cuñas.',
      fix: 'Fuera otra vez: talón al fondo en botín y bota, luego las tiras.',
    },
    'heel-flush': {
      name: 'Talón al fondo en botín y bota',
      how: 'Un dedo tras el talón no encuentra hueco.',
      fix: 'Abra desde la pantorrilla, talón atrás, cierre desde los dedos.',
    },
    'nothing-digs': {
      name: 'Ninguna cincha se clava',
      how: 'Espinilla y pantorrilla, de pie si puede cargar.',
      fix: 'Una almohadilla suelta debajo, y las cinchas desde los dedos.',
    },
    'soles-level': {
      name: 'El otro pie a la misma altura, con 10 mm de margen',
      how: 'Un zapato plano y corriente; también vale si se probó un alza calculada.',
      fix: 'Un zapato plano de suela más alta; no caminar con un solo calcetín.',
    },
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
};
