import type { SameShape } from '../../same-shape';
import type { familiesEn } from '../families';
import { calfNerve, fibularNeck, skin, toes } from './shared';

const snug = 'Firme, sin apretar de más en el muslo; la misma tensión que las demás.';

export const kneeLigamentFrame: SameShape<(typeof familiesEn)['knee-ligament-frame']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  settings: {
    'hinge-stops': { name: 'Topes', how: 'Medial y lateral iguales, nunca fuera de lo prescrito.' },
  },
  parts: {
    'upright-medial': 'Barra medial',
    'upright-lateral': 'Barra lateral',
    'hinge-medial': 'Bisagra medial',
    'hinge-lateral': 'Bisagra lateral',
    'thigh-shell': 'Manguito del muslo',
    'shin-shell': 'Manguito de la espinilla',
    ...Object.fromEntries([1, 2, 3, 4, 5, 6].map((strap) => [`strap-${strap}`, `Cincha ${strap}`])),
  },
  operations: {
    'bend-uprights': { name: 'Doblados de las barras', how: '' },
    'place-pads': { name: 'Almohadillas', how: '' },
  },
  steps: {
    'open-all': {
      name: 'Abrir todas las cinchas',
      hold: 'Cada gancho doblado sobre su propia cincha. Sobre la piel, nada debajo.',
    },
    'draw-on': {
      name: 'Meter la ortesis',
      hold: 'Sentado muy adelante. Pase el marco por el pie; sujételo para que no gire.',
    },
    'level-hinges': {
      name: 'Nivelar las bisagras',
      hold: 'El centro de las bisagras a la altura del borde superior de la rótula. Sin torcer.',
    },
    'strap-1': {
      name: 'Cincha 1',
      hold: 'Mantenga el marco nivelado; cierre la cincha 1.',
      caution: calfNerve,
    },
    'strap-2': { name: 'Cincha 2', hold: 'Mantenga el marco nivelado; cierre la cincha 2.', caution: snug },
    'press-hinges': {
      name: 'Empujar ambas bisagras hacia atrás',
      hold: 'Los pulgares en las bisagras: hacia atrás, por detrás de la línea media lateral, y mantener.',
    },
    'strap-3': { name: 'Cincha 3', hold: 'Mantenga atrás las bisagras mientras cierra.', caution: snug },
    'strap-4': {
      name: 'Cincha 4',
      hold: 'Las almohadillas partidas, a cada lado de la cresta tibial o de una cicatriz.',
      caution: calfNerve,
    },
    'strap-5': {
      name: 'Cincha 5',
      hold: 'Por encima del mayor perímetro de la pantorrilla.',
      caution: calfNerve,
    },
    'strap-6': { name: 'Cincha 6', hold: 'La última; todas con la misma tensión.', caution: snug },
    'settling-walk': {
      name: 'Caminar y mirar de nuevo',
      hold: 'La ortesis se asienta. Mire dónde están las bisagras y anote cuánto bajó. Si resbaló: primero la altura de la bisagra, luego la cincha 5, luego las almohadillas de las bisagras, luego la ropa debajo.',
    },
    'open-straps-fold-hooks': {
      name: 'Abrir todas las cinchas',
      hold: 'Cada gancho doblado sobre su propia cincha.',
    },
    'draw-off': { name: 'Sacar la ortesis', hold: 'Por el pie, la pierna relajada.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'hinge-height': {
      name: 'Altura de la bisagra frente al borde superior de la rótula',
      fix: 'Abra, corrija la altura, cierre de nuevo en orden.',
      minus: '{{amount}} por debajo',
    },
    'hinge-behind-midline': {
      name: 'Bisagra detrás de la línea media lateral',
      fix: 'Abra desde la cincha 3, empuje atrás las bisagras, cierre de nuevo.',
      minus: '{{amount}} por delante',
    },
    'not-twisted': {
      name: 'Alineación',
      how: 'Las valvas a escuadra con la tibia, vistas de frente.',
      fix: 'Abra todo, gire el marco, empiece la secuencia de nuevo.',
      yes: 'A escuadra',
      no: 'Torcida',
    },
    'strap-above-calf': {
      name: 'Cincha 5 sobre el mayor perímetro de la pantorrilla',
      how: 'ambos por debajo del centro de la rótula',
      fix: 'Suba la cincha 5 y mire la altura de la bisagra.',
      minus: '{{amount}} por encima del centro de la rótula',
      value: 'cincha',
      reference: 'pantorrilla',
    },
    'knee-at-extension-stop': {
      name: 'Rodilla en el tope de extensión',
      fix: 'Apriete y mida de nuevo; si sigue, un tope de extensión mayor.',
      minus: '{{amount}} más allá de la extensión completa',
    },
    'knee-at-flexion-stop': {
      name: 'Rodilla en el tope de flexión',
      fix: 'Apriete y mida de nuevo; si sigue, un tope de flexión menor.',
      minus: '{{amount}} más allá de la extensión completa',
    },
    'fibular-neck-clear': fibularNeck,
    'toes-warm-moving-felt': toes,
  },
};
