import type { FamilyWords } from '@estribo/core/programmes';
import type { SameShape } from '../../same-shape';
import type { familiesEn } from '../families';
import {
  atStops,
  benchWork,
  calfNerve,
  cutOnce,
  fibularNeck,
  gentlePressure,
  hingeChecks,
  kneeHinges,
  legChecks,
  offLists,
  offSteps,
  refill,
  shells,
  skin,
  straps,
  toes,
  uprights,
} from './shared';

const gentle = { 'gentle-pressure': 'haya una presión suave' };
const tooMuch = 'Demasiado trae dolor, giro y problemas de piel. El alivio tarda semanas.';
const stops = (how: string) => ({ 'hinge-stops': { name: 'Topes', how } });
const onOrder = 'Solo si se prescriben. Medial y lateral iguales, nunca fuera de lo prescrito.';
const oneHinge = 'Solo si se prescriben. Atornillados, nunca fuera de lo prescrito.';
const snug = 'Firme, sin apretar de más en el muslo; una mano en la bisagra para que no gire.';
const samePull = 'Todas con la misma tensión.';
const putOn = { ...offLists, 'putting-on': 'Poner' };

const settle = {
  name: 'Caminar y mirar de nuevo',
  hold: 'La ortesis se asienta. Anote cuánto bajó; vuelva a apretar en el mismo orden.',
};
const hingeLevel = {
  name: 'Bisagra a su altura',
  hold: 'A la altura de lo alto de la rótula, un poco por detrás de la línea media lateral.',
};
const strapsStay = {
  name: 'Las cinchas se quedan así',
  hold: 'Desde ahora se abre y se cierra solo por las hebillas.',
};
const correct = (hold: string) => ({ name: 'Corregir', hold, caution: tooMuch });

const sixStrapSteps = {
  'open-all': {
    name: 'Abrir todas las cinchas',
    hold: 'Cada gancho doblado sobre su propia cincha. Rodilla a unos 30 grados, pie plano.',
  },
  'level-hinges': {
    name: 'Nivelar las bisagras',
    hold: 'El centro de la bisagra en una línea por lo alto de la rótula.',
  },
  'shin-cuff-flat': {
    name: 'Manguito de la espinilla plano',
    hold: 'Apretarlo plano sobre la espinilla y mantener.',
  },
  'strap-1': { name: 'Cincha 1, detrás de la pantorrilla', hold: samePull, caution: calfNerve },
  'strap-2': { name: 'Cincha 2, detrás, sobre la rodilla', hold: samePull },
  'thigh-cuff-flat': {
    name: 'Manguito del muslo plano',
    hold: 'Apretarlo plano sobre el muslo y mantener.',
  },
  'strap-3': { name: 'Cincha 3, detrás de los isquiotibiales', hold: samePull },
  'strap-4': { name: 'Cincha 4, delante, bajo la rodilla', hold: samePull },
  'strap-5': { name: 'Cincha 5, detrás, bajo la rodilla', hold: samePull, caution: calfNerve },
  'strap-6': { name: 'Cincha 6, delante, sobre la rodilla', hold: 'De pie, o con la rodilla recta.' },
  'warm-up': {
    name: 'Cinco minutos de calentamiento',
    hold: 'Después sentado a 30 grados: cada cincha aflojada y apretada en orden.',
  },
} satisfies FamilyWords['steps'];
const sixStrapChecks = {
  ...hingeChecks('una línea por lo alto de la rótula', ''),
  'cuffs-flat': {
    name: 'Los manguitos asientan planos',
    how: 'La palma sobre espinilla y muslo: no se nota ningún borde.',
    fix: 'De pie, afloje las cinchas, apriete plano el manguito, luego todas de nuevo en orden.',
  },
  'equal-tension': {
    name: 'Todas las cinchas con la misma tensión',
    how: 'Un dedo bajo cada una, una tras otra.',
    fix: 'Afloje y apriete de nuevo desde la cincha 1, todas con la misma tensión.',
  },
  ...legChecks,
} satisfies FamilyWords['checks'];
const upright = {
  ...hingeChecks('lo alto de la rótula', 'Un poco por detrás.'),
  'thigh-not-tight': {
    name: 'Sin apretar de más en el muslo',
    how: 'Un dedo pasa bajo las cinchas del muslo, de pie.',
    fix: 'Afloje las del muslo, sujete la bisagra, cierre de nuevo.',
  },
  'gentle-pressure-only': gentlePressure,
  ...legChecks,
} satisfies FamilyWords['checks'];
const single = {
  'cuff-thigh': 'Manguito del muslo',
  'cuff-shin': 'Manguito tibial',
  'upright-lateral': 'Barra',
  'hinge-lateral': 'Bisagra',
  'condyle-pad': 'Almohadilla del cóndilo',
  ...straps(4),
};

export const kneeSleeve: SameShape<(typeof familiesEn)['knee-sleeve']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  notNeeded: {
    shape: 'Una rodillera no tiene nada que doblar, moldear ni recortar.',
    set: 'Una rodillera no tiene topes ni nada más que ajustar: su almohadilla queda donde se sube.',
  },
  parts: {
    sleeve: 'Rodillera',
    'patellar-pad': 'Almohadilla rotuliana',
    'stay-medial': 'Ballena interior',
    'stay-lateral': 'Ballena exterior',
  },
  steps: {
    'thumbs-in-loops': {
      name: 'Los pulgares en ambas presillas',
      hold: 'Rodilla algo flexionada, la almohadilla delante.',
    },
    'draw-up': {
      name: 'Subirla',
      hold: 'Sin tirones, con ambas manos, hasta que la almohadilla rodee la rótula.',
    },
    'pad-round-the-kneecap': {
      name: 'Mirar la almohadilla',
      hold: 'Su borde interior a la altura del polo inferior de la rótula, y todo alrededor.',
    },
    'smooth-it-out': {
      name: 'Alisarla',
      hold: 'Sin arrugas detrás de la rodilla; las ballenas a los lados.',
    },
    'draw-down': { name: 'Bajarla', hold: 'Por ambas presillas, la rodilla algo flexionada.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'pad-rim-at-lower-pole': {
      name: 'Borde interior de la almohadilla en el polo inferior de la rótula',
      fix: 'Los pulgares en las presillas, súbala o bájela tanto.',
      minus: '{{amount}} demasiado abajo',
    },
    'rim-all-round': {
      name: 'El borde rodea la rótula',
      how: 'Se palpa a través de la rodillera, todo alrededor.',
      fix: 'Gire la rodillera hasta que el borde sujete la rótula por igual.',
    },
    'no-creases': {
      name: 'Sin arrugas',
      how: 'Sobre todo detrás de la rodilla; otra vez antes de media hora.',
      fix: 'Alísela; si vuelven, quítela y súbala de nuevo.',
    },
    'stays-at-the-sides': {
      name: 'Ballenas a los lados',
      how: 'Una en cada línea media lateral, vista de frente.',
      fix: 'Gire la rodillera hasta que las ballenas queden a los lados.',
    },
    'toes-warm-moving-felt': {
      ...toes,
      fix: 'Quítela ya y mire de nuevo; llame a un médico si continúa.',
    },
  },
};

export const kneeFunctional: SameShape<(typeof familiesEn)['knee-functional']> = {
  lists: { ...offLists, general: 'General, y para el cruzado anterior' },
  settings: stops(
    'Viene con topes de extensión de 10 grados atornillados. Medial y lateral idénticos, nunca fuera de lo prescrito.',
  ),
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  notNeeded: {
    shape:
      'Este modelo no tiene barras ni almohadillas que formar: los manguitos se aprietan planos, las cinchas se recortan en Cinchar.',
  },
  operations: {
    ...benchWork,
    'shorten-straps': {
      name: 'Extremos de las cinchas al centro del miembro',
      how: 'Primero se corta la almohadilla de la cincha, luego la cincha por el lado del gancho; los ganchos se reponen.',
      caution: cutOnce,
      first: 'se puso, se caminó cinco minutos y cada cincha se cerró a su longitud.',
    },
  },
  steps: { ...sixStrapSteps, ...offSteps },
  checks: {
    ...sixStrapChecks,
    'ends-mid-limb': {
      name: 'Extremos y almohadillas en el centro del miembro',
      how: 'Cada uno termina en el centro, ninguno sobre un borde.',
      fix: 'Corte la almohadilla, acorte la cincha por el gancho, cierre una vez más.',
    },
  },
};

export const unloaderOneScrew: SameShape<(typeof familiesEn)['unloader-one-screw']> = {
  lists: putOn,
  settings: {
    ...stops(oneHinge),
    screw: {
      name: 'Corrección',
      how: 'Sentado, rodilla a 90: primero un cuarto de vuelta, después como máximo un octavo. De serie: primero neutra, manguitos y almohadilla tocando, sin carga. A medida: viene ajustada y no se pone neutra.',
      caution: tooMuch,
      places: { screw: 'tornillo' },
      observed: gentle,
    },
    'condyle-pad-in': { name: 'Almohadilla fina del cóndilo', how: 'Por comodidad.' },
    'suspension-wrap-in': {
      name: 'Banda de suspensión',
      how: 'Su borde superior 13 mm sobre la cincha bajo la rodilla, sin amontonarse detrás.',
    },
    'strap-extender-in': { name: 'Extensor de cincha', how: 'Para un muslo que se mueve.' },
  },
  parts: single,
  operations: benchWork,
  steps: {
    ...offSteps,
    'wrap-on': {
      name: 'Banda de suspensión puesta',
      hold: 'Su borde superior 13 mm sobre donde irá la cincha bajo la rodilla; sin amontonarse detrás.',
    },
    'hinge-level': hingeLevel,
    'straps-in-order': {
      name: 'Las cinchas en su orden marcado',
      hold: snug,
      caution: calfNerve,
      look: 'La ortesis no ha girado.',
    },
    'settling-walk': settle,
    'straps-stay': strapsStay,
    correct: correct(
      'Sentado, rodilla a 90. En sentido horario alivia el lado externo, antihorario el interno. De pie, caminar, preguntar.',
    ),
  },
  checks: {
    ...upright,
    'wrap-above-strap': {
      name: 'Banda de suspensión sobre la cincha bajo la rodilla',
      how: 'su borde superior, 13 mm',
      fix: 'Mueva la banda, que no se amontone detrás de la rodilla.',
    },
  },
};

export const unloaderTwoScrews: SameShape<(typeof familiesEn)['unloader-two-screws']> = {
  lists: putOn,
  settings: {
    ...stops(oneHinge),
    screws: {
      name: 'Corrección',
      how: 'Neutra dejando plana la almohadilla de la bisagra, luego las partes superior e inferior hasta que toquen los manguitos. Rodilla a 90: un octavo en el tornillo superior, luego en el inferior; después, como máximo un octavo en cada uno.',
      caution: tooMuch,
      places: { upper: 'tornillo superior', lower: 'tornillo inferior' },
      observed: gentle,
    },
    'condyle-pad-in': { name: 'Almohadilla fina del cóndilo', how: 'Para artrosis del lado externo.' },
  },
  parts: single,
  operations: {
    ...benchWork,
    'mould-tibial-cuff': {
      name: 'Moldear el manguito tibial',
      how: 'Con la bolsa de calor en la pierna, o con la pistola y la ortesis quitada; sobre la cresta tibial. La cincha 2 puede sujetarlo mientras enfría.',
      caution: 'Nunca en una pierna cuya piel no siente. Guantes o manos protegidas.',
    },
  },
  steps: {
    ...offSteps,
    'hinge-level': hingeLevel,
    'strap-1': {
      name: 'Cincha 1, sobre la pantorrilla',
      hold: `Mantiene la ortesis en su sitio. ${snug}`,
      caution: calfNerve,
    },
    'strap-2': { name: 'Cincha 2, mitad de la pantorrilla', hold: snug },
    'strap-3': { name: 'Cincha 3, muslo inferior', hold: snug },
    'strap-4': { name: 'Cincha 4, muslo superior', hold: snug },
    'settling-walk': settle,
    'straps-stay': strapsStay,
    correct: correct(
      'Sentado, rodilla a 90: el tornillo superior, luego el inferior. De pie, caminar, preguntar.',
    ),
  },
  checks: {
    ...upright,
    'cuff-on-the-crest': {
      name: 'Manguito tibial sobre la cresta',
      how: 'La palma encima: apoya en toda su anchura, no solo en la cresta.',
      fix: 'Moldee el manguito a la cresta.',
    },
  },
};

export const unloaderThumbwheel: SameShape<(typeof familiesEn)['unloader-thumbwheel']> = {
  lists: putOn,
  settings: {
    ...stops(onOrder),
    wheel: {
      name: 'Rueda',
      how: 'Rodilla flexionada. En sentido horario mueve la almohadilla hacia dentro; pasos pequeños de medio milímetro.',
      caution: tooMuch,
      places: { wheel: 'rueda' },
      observed: gentle,
    },
    'gel-pad-side': {
      name: 'Almohadilla grande de gel',
      how: 'En el lado de la rueda.',
      in: 'En el lado de la rueda',
      out: 'En el otro lado',
    },
  },
  parts: { ...uprights, ...kneeHinges, ...shells, 'gel-pad': 'Almohadilla grande de gel', ...straps(6) },
  operations: benchWork,
  steps: {
    ...sixStrapSteps,
    ...offSteps,
    correct: correct('Rodilla flexionada, la rueda a pasos pequeños. De pie, caminar, preguntar.'),
  },
  checks: {
    ...sixStrapChecks,
    'gel-pad-on-wheel-side': {
      name: 'Almohadilla grande de gel en el lado de la rueda',
      how: 'Mirada por dentro.',
      fix: 'Cambie las almohadillas: la grande en el lado de la rueda.',
    },
    'gentle-pressure-only': gentlePressure,
  },
};

export const unloaderWrap: SameShape<(typeof familiesEn)['unloader-wrap']> = {
  lists: putOn,
  settings: {
    ...stops(onOrder),
    'wrap-dial': {
      name: 'Dial',
      how: 'A cero antes de ponerla por primera vez, después como diga el modelo. Luego despacio, a lo largo de días: horario presiona, antihorario alivia.',
      caution: tooMuch,
      places: { 'wrap-dial': 'dial' },
      observed: gentle,
    },
  },
  parts: { wrap: 'Envoltura', 'wrap-dial': 'Dial', ...straps(6) },
  notNeeded: { shape: 'Una envoltura no tiene nada que doblar, moldear ni recortar.' },
  steps: {
    ...offSteps,
    'dial-to-zero': {
      name: 'Dial a cero',
      hold: 'Antes de ponerla por primera vez. Rodilla a 30 grados, pie plano.',
    },
    'strap-1': { name: 'Cincha 1, muslo, sobre la rodilla', hold: 'Un dedo en su bolsillo; firme.' },
    'strap-2': {
      name: 'Cincha 2, espinilla, bajo la rodilla',
      hold: 'Un dedo en su bolsillo; firme.',
      caution: calfNerve,
    },
    'strap-3': { name: 'Cincha 3, espinilla inferior', hold: 'Un dedo en su bolsillo; firme.' },
    'strap-4': { name: 'Cincha 4, muslo superior', hold: 'Un dedo en su bolsillo; firme.' },
    'strap-5': { name: 'Cincha 5, por la anilla', hold: 'Sujete la anilla mientras se tira.' },
    'strap-6': { name: 'Cincha 6, por la anilla', hold: 'Sujete la anilla mientras se tira.' },
    'settling-walk': {
      name: 'Caminar unos minutos',
      hold: 'La hinchazón se desplaza: vuelva a apretar en el mismo orden.',
    },
    correct: {
      name: 'Subir el dial',
      hold: 'Despacio, a lo largo de días. De pie, caminar, preguntar.',
      caution: tooMuch,
    },
  },
  checks: {
    'no-creases': {
      name: 'Sin arrugas',
      how: 'Sobre todo detrás de la rodilla.',
      fix: 'Abra desde la cincha 4 hacia atrás, alise, cierre de nuevo en orden.',
    },
    'dial-at-the-joint': {
      name: 'El dial en la articulación',
      how: 'A la altura del centro de la rótula, de lado.',
      fix: 'Abra las cinchas 5 y 6, mueva el dial, cierre de nuevo con la anilla sujeta.',
    },
    'gentle-pressure-only': gentlePressure,
    ...legChecks,
  },
};

export const unloaderFrame: SameShape<(typeof familiesEn)['unloader-frame']> = {
  lists: putOn,
  settings: {
    ...stops(
      'Cuñas: siempre queda una de al menos 0. Medial y lateral iguales, nunca fuera de lo prescrito.',
    ),
    'coronal-screws': {
      name: 'Bisagras coronales',
      how: 'Sentado: ambos tornillos neutros, almohadilla plana, presión nula o suave. De pie: ambos un cuarto de vuelta. No se dice ningún paso más. Se le puede enseñar al paciente.',
      caution: tooMuch,
      places: { upper: 'tornillo superior', lower: 'tornillo inferior' },
      observed: gentle,
    },
  },
  parts: { ...uprights, ...kneeHinges, ...shells, ...straps(6) },
  operations: {
    ...benchWork,
    'exchange-medial-pad': {
      name: 'Cambiar la almohadilla medial',
      how: 'Para una rodilla delgada, o que se hincha y adelgaza: la fina en su lugar.',
    },
  },
  steps: {
    ...offSteps,
    'open-all': {
      name: 'Abrir todas las cinchas',
      hold: 'Cada gancho doblado sobre su propia cincha. Sobre la piel.',
    },
    'draw-on': { name: 'Meter la ortesis', hold: 'Sentado muy adelante; sujétela para que no gire.' },
    'level-hinges': {
      name: 'Nivelar las bisagras',
      hold: 'El centro de las bisagras a la altura del borde superior de la rótula. Sin torcer.',
    },
    'strap-1': {
      name: 'Cincha 1',
      hold: 'Mantenga el marco nivelado; cierre la cincha 1.',
      caution: calfNerve,
    },
    'strap-2': { name: 'Cincha 2', hold: 'Mantenga el marco nivelado; cierre la cincha 2.' },
    'press-hinges': {
      name: 'Empujar ambas bisagras hacia atrás',
      hold: 'Los pulgares en las bisagras: un poco por detrás de la línea media lateral, y mantener.',
    },
    'strap-3': { name: 'Cincha 3', hold: 'Mantenga atrás las bisagras mientras cierra.' },
    'strap-4': { name: 'Cincha 4', hold: 'La misma tensión que las demás.', caution: calfNerve },
    'strap-5': {
      name: 'Cincha 5',
      hold: 'Por encima del mayor perímetro de la pantorrilla.',
      caution: calfNerve,
    },
    'strap-6': { name: 'Cincha 6', hold: 'La última; todas con la misma tensión.' },
    'settling-walk': settle,
    correct: correct('De pie: ambos tornillos un cuarto de vuelta. Caminar, preguntar.'),
  },
  checks: {
    ...hingeChecks('el borde superior de la rótula', 'Empujada hacia atrás, por detrás.'),
    'strap-above-calf': {
      name: 'Cincha 5 sobre el mayor perímetro de la pantorrilla',
      how: 'ambos por debajo del centro de la rótula',
      fix: 'Suba la cincha 5 y mire la altura de la bisagra.',
      minus: '{{amount}} por encima del centro de la rótula',
      value: 'cincha',
      reference: 'pantorrilla',
    },
    'gentle-pressure-only': gentlePressure,
    ...legChecks,
  },
};

export const kneePostop: SameShape<(typeof familiesEn)['knee-postop']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  settings: {
    'hinge-stops': { name: 'Topes', how: 'Medial y lateral iguales, nunca fuera de lo prescrito.' },
    'knee-lock': {
      name: 'Bloqueo',
      how: 'Aparte de los topes. Ambos lados iguales, en el ángulo prescrito o abierto; un bloqueo que venía y no se prescribió se abre.',
      caution: 'Bloqueada, la barra no debe girar. Nunca el ángulo más cercano: el prescrito, o ninguno.',
    },
    'upright-length': {
      name: 'Longitud de las barras',
      how: 'Extendidas a la pierna, la parte más corta al muslo; los botones otra vez fuera del todo.',
    },
    'strap-carriers': {
      name: 'Portacinchas',
      how: 'En el mismo sitio en ambas barras, lejos de la herida.',
      unit: 'agujero',
    },
  },
  parts: {
    ...uprights,
    ...kneeHinges,
    'cuff-upper-thigh': 'Manguito superior del muslo',
    'cuff-lower-thigh': 'Manguito inferior del muslo',
    'cuff-upper-calf': 'Manguito superior de la pantorrilla',
    'cuff-lower-calf': 'Manguito inferior de la pantorrilla',
    'strap-upper-thigh': 'Cincha superior del muslo',
    'strap-lower-thigh': 'Cincha inferior del muslo',
    'strap-upper-calf': 'Cincha superior de la pantorrilla',
    'strap-lower-calf': 'Cincha inferior de la pantorrilla',
  },
  operations: {
    'bend-uprights': {
      name: 'Doblar las barras',
      how: 'Sobre un canto firme, presión lenta y pareja; en una barra el mismo ángulo por encima y por debajo de la bisagra.',
      caution: 'Nunca en la pierna.',
    },
    'shorten-straps': {
      name: 'Acortar lo que sobra',
      how: 'Doblado y fijado; se corta solo cuando la hinchazón se ha ido. La lengüeta de cierre termina delante.',
      caution: cutOnce,
      first: 'se puso una vez, cada hebilla cerrada a su longitud.',
    },
  },
  steps: {
    'lay-flat': {
      name: 'Poner la ortesis abierta y plana',
      hold: 'Todas las hebillas abiertas, los manguitos extendidos, antes de que entre la pierna.',
    },
    'lay-leg-in': {
      name: 'Meter la pierna',
      hold: 'La rodilla levantada como se pueda; la parte más corta va al muslo.',
      caution: 'Solo dentro del movimiento prescrito, y nunca solo por el pie.',
    },
    'uprights-alike': {
      name: 'Ambas barras a la misma longitud',
      hold: 'Igual de largas, portacinchas en el mismo sitio, todo lejos de la herida. Los botones fuera del todo.',
    },
    'uprights-on-midline': {
      name: 'Barras en las líneas medias laterales',
      hold: 'Sobre ellas, no por detrás; la bisagra a la altura de la interlínea.',
    },
    'slack-behind': {
      name: 'Quitar la holgura de detrás',
      hold: 'Cincha a cincha, igual a ambos lados; después esas longitudes se quedan.',
    },
    'buckle-upper-calf': {
      name: 'Pantorrilla superior',
      hold: 'La primera: la hebilla hace clic.',
      caution: calfNerve,
    },
    'buckle-lower-thigh': {
      name: 'Muslo inferior',
      hold: 'La hebilla hace clic; las barras siguen en las líneas medias.',
    },
    'buckle-lower-calf': { name: 'Pantorrilla inferior', hold: 'La hebilla hace clic.', caution: calfNerve },
    'buckle-upper-thigh': {
      name: 'Muslo superior',
      hold: 'La hebilla hace clic.',
      caution: 'Firme, sin apretar de más en el muslo; la misma tensión que las demás.',
    },
    'closure-tabs': {
      name: 'Doblar lo que sobra',
      hold: 'Doblar a su longitud y fijar; se corta solo cuando la hinchazón se ha ido. La lengüeta termina delante.',
      caution: cutOnce,
    },
    'locked-still': { name: 'Mirar el bloqueo', hold: 'Bloqueada como se prescribe, la barra no gira.' },
    'open-buckles': {
      name: 'Abrir las hebillas',
      hold: 'Solo las hebillas: las longitudes de detrás se quedan.',
    },
    'lift-leg-out': { name: 'Sacar la pierna', hold: 'Con las dos manos, dentro del movimiento prescrito.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'on-the-midline': {
      name: 'Barras en las líneas medias laterales',
      how: 'Vistas por ambos lados, del muslo a la espinilla.',
      fix: 'Abra las hebillas, las barras a la línea media, cierre de nuevo.',
    },
    'uprights-alike': {
      name: 'Ambas barras igual de largas',
      how: 'Leídas en ambas',
      fix: 'Ambas a la misma longitud, botones fuera, cierre de nuevo.',
      value: 'medial',
      reference: 'lateral',
    },
    'hinge-on-the-knee': {
      name: 'Bisagra en el eje de la rodilla',
      how: 'Asienta en la rodilla, ni separada ni adelantada.',
      fix: 'Adelantada: barras a la línea media, fuera la holgura de detrás. Separada: doblar la barra hacia dentro, fuera de la pierna. Bajada: cinchas firmes, en la línea media, la parte inferior alargada hacia los maléolos.',
    },
    ...atStops,
    'wound-clear': {
      name: 'Lejos de la herida',
      how: 'Ningún manguito, cincha ni portacinchas está sobre ella.',
      fix: 'Mueva los portacinchas, igual en ambas barras.',
    },
    'fibular-neck-clear': fibularNeck,
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
};
