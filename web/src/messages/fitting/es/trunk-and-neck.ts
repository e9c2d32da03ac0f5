import type { FamilyWords } from '@estribo/core/programmes';
import type { SameShape } from '../../same-shape';
import type { familiesEn } from '../families';
import { cutOnce, panelWork, refill, skin, toes } from './shared';

const inLine =
  'Mantener en línea, según la norma de manejo del centro. Si se pierde movimiento o sensibilidad: boca arriba y en línea; llamar ya.';
const policy =
  'Según la norma de manejo del centro. Parar ante cualquier dolor, debilidad o adormecimiento nuevo.';
const loss =
  'Si se pierde movimiento o sensibilidad por el camino: completar el giro hasta boca arriba, en línea; llamar ya.';
const roll = (id: string): NonNullable<FamilyWords['steps']> => ({
  [`${id}-knee-up-arm-across`]: {
    name: 'Brazo cruzado; rodilla lejana arriba solo si es estable',
    hold: 'Una persona a la cabeza dirige, cuenta y no hace otra cosa; dos giran, una desliza. Rodilla lejana arriba solo con columna estable y cadera y pelvis sanas; inestable: piernas rectas, almohada entre ellas, una persona más en las piernas.',
    caution: policy,
  },
  [`${id}-roll`]: {
    name: 'Rodar en bloque',
    hold: 'Cabeza, hombros y caderas giran a la vez.',
    caution: loss,
  },
  [`${id}-back`]: { name: 'Volver a rodar', hold: 'En bloque, despacio.', caution: loss },
});
const ends = {
  name: 'Extremos del cinturón',
  how: 'Ambos a la misma marca, extensiones laterales iguales.',
  unit: 'marca',
  places: { right: 'extremo derecho', left: 'extremo izquierdo' },
};
const breathes = {
  name: 'Respira y se sienta bien',
  how: 'Una respiración honda; sentado, ningún borde en costillas ni ingle.',
  fix: 'Ambos tiradores un poco más flojos; después los bordes.',
};
const sameMark = {
  name: 'Ambos extremos en la misma marca',
  how: 'Leída en ambos; el cinturón cierra en el centro.',
  fix: 'Abra, ambos extremos a la única marca, cierre de nuevo.',
};
const parkPulls = { name: 'Soltar los tiradores', hold: 'Aparcados hacia atrás.' };
const pullApart = {
  name: 'Separarlo del todo',
  hold: 'Hasta que no quede tensión: listo para la próxima vez.',
};

export const spineBackBar: SameShape<(typeof familiesEn)['spine-back-bar']> = {
  lists: {
    'putting-on': 'Poner, ante un espejo',
    'before-a-mirror': 'A solas, ante un espejo',
    'taking-off': 'Quitar',
  },
  settings: {
    'bar-on-mark': {
      name: 'Barra en su marca',
      how: 'El borde inferior de la barra cae siempre en la marca del sacro; por encima cuenta como más.',
    },
    'room-at-the-top': {
      name: 'Sitio arriba',
      how: 'Unos tres dedos libres, para que el paciente pueda enderezarse; con los dedos de este centro.',
    },
  },
  parts: {
    'back-bar': 'Barra dorsal',
    'front-pad': 'Almohadilla delantera',
    'waist-strap-right': 'Cincha de cintura derecha',
    'waist-strap-left': 'Cincha de cintura izquierda',
    'shoulder-strap-right': 'Cincha de hombro derecha',
    'shoulder-strap-left': 'Cincha de hombro izquierda',
    'middle-strap': 'Cincha elástica central',
  },
  operations: {
    'bend-back-bar': { name: 'La barra a la espalda', how: 'A mano, desde la marca del sacro hacia arriba.' },
    'cut-waist-straps': {
      name: 'Cortar las cinchas de cintura',
      how: 'Ambas iguales, que terminen en el lado; la lengüeta de ganchos se mueve.',
      caution: cutOnce,
      first: 'cada una está doblada hasta el lado y se cerró una vez.',
    },
    'cut-shoulder-straps': {
      name: 'Cortar las cinchas de hombro',
      how: 'Libres en su presilla, el cierre entre presilla y almohadilla; ambas iguales.',
      caution: cutOnce,
      first: 'ambas cinchas de cintura están cortadas, la ortesis no puede subir, y estas están dobladas.',
    },
  },
  steps: {
    'arms-through': { name: 'Los brazos por las cinchas', hold: 'Como un chaleco; lo más erguido posible.' },
    'bar-on-its-mark': { name: 'La barra en su marca', hold: 'Su borde inferior en la marca del sacro.' },
    'front-pad-low': {
      name: 'Almohadilla delantera baja',
      hold: 'Su borde inferior en el pubis; la sujeta el paciente.',
    },
    'waist-straps-provisional': {
      name: 'Cinchas de cintura, provisionales',
      hold: 'Un lado y luego el otro.',
      look: 'Barra y almohadilla siguen donde estaban.',
    },
    'shoulder-straps-to-length': {
      name: 'Cinchas de hombro a su longitud',
      hold: 'Ambas iguales.',
      look: 'Barra y almohadilla siguen donde estaban.',
    },
    'cuff-at-the-armpit': { name: 'Hombrera', hold: 'Su escotadura en la base de la axila.' },
    'fold-waist-straps': {
      name: 'Cinchas de cintura dobladas a su longitud',
      hold: 'Cada una termina en el lado del cuerpo; cerrada una vez.',
      look: 'Barra y almohadilla siguen donde estaban.',
    },
    'cut-waist': {
      name: 'Cinchas de cintura a su longitud',
      hold: 'Se cortan solo cuando ambas están dobladas y se cerraron.',
    },
    'fold-shoulder-straps': {
      name: 'Cinchas de hombro dobladas a su longitud',
      hold: 'Libres en su presilla, el cierre entre presilla y almohadilla; cerradas una vez.',
      look: 'Barra y almohadilla siguen donde estaban.',
    },
    'cut-shoulders': {
      name: 'Cinchas de hombro a su longitud',
      hold: 'Solo ahora: la ortesis no puede subir.',
    },
    'middle-elastic-strap': {
      name: 'Cincha elástica central',
      hold: 'En las costillas bajas, su presilla detrás de la axila: solo así tira.',
    },
    'bar-and-pad-again': {
      name: 'Barra y almohadilla otra vez',
      hold: 'Barra en la marca del sacro, almohadilla en el pubis.',
    },
    'close-waist-straps': { name: 'Cinchas de cintura', hold: 'Un lado y luego el otro, hasta su final.' },
    'in-the-mirror': { name: 'Mirar en el espejo', hold: 'La barra en el centro, ambos lados iguales.' },
    'open-front': { name: 'Abrir por delante', hold: 'La cincha central, luego las de cintura.' },
    'like-a-vest': { name: 'Quitar como un chaleco', hold: 'La almohadilla delantera por sus asas.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'bar-at-the-mark': {
      name: 'Borde inferior de la barra en la marca del sacro',
      fix: 'Abra, la barra a su marca, cierre de nuevo.',
      minus: '{{amount}} demasiado abajo',
    },
    'bar-follows-the-spine': {
      name: 'La barra sigue la columna',
      how: 'La palma entre barra y espalda, del sacro a C7.',
      fix: 'Quítela, doble a mano donde se separa, póngala otra vez en la marca.',
    },
    'front-pad-at-pubic-bone': {
      name: 'Almohadilla delantera en el pubis',
      how: 'Su borde inferior, de pie.',
      fix: 'Abra las cinchas de cintura, la almohadilla más abajo, cierre de nuevo.',
    },
    'fingers-under-shoulder-straps': {
      name: 'Tres dedos bajo cada cincha de hombro',
      how: 'planos, delante de la axila',
      fix: 'Cinchas de hombro más largas o más cortas, ambas iguales.',
    },
    'fingers-at-the-neck': {
      name: 'Tres dedos entre cuello y borde superior',
      how: 'planos, arriba de la barra',
      fix: 'La barra en su marca; luego doblada o más baja arriba.',
    },
    'waist-ends-at-the-side': {
      name: 'Las cinchas de cintura terminan en el lado',
      how: 'Ambas, a la misma distancia.',
      fix: 'Dóblelas de nuevo hasta el lado del cuerpo.',
    },
    'cut-out-at-the-armpit': {
      name: 'Escotadura en la base de la axila',
      how: 'Brazos colgando: ningún borde en la axila.',
      fix: 'Cinchas de hombro otra vez, ambas iguales.',
    },
  },
};

export const spineBelt: SameShape<(typeof familiesEn)['spine-belt']> = {
  lists: {
    'lying-log-roll': 'Tumbado, rodando en bloque',
    'seated-alone': 'A solas, sentado al borde de la camilla',
    'taking-off': 'Quitar',
    'taking-off-lying': 'Quitar, tumbado',
    'make-ready': 'Dejarlo listo para la próxima vez',
  },
  settings: {
    'belt-ends': {
      name: 'Ambos extremos',
      how: 'Doblados a la misma marca, según la cintura.',
      unit: 'marca',
    },
    'low-panel-in': {
      name: 'Panel bajo',
      how: 'Como se prescribe para la fase. Al bajar: fuera el panel alto, el bajo al fondo del bolsillo, lo que sobra doblado y fijado.',
    },
    'tall-panel-in': { name: 'Panel alto', how: 'Como se prescribe.' },
    'side-panels-in': { name: 'Paneles laterales', how: 'El borde largo hacia el centro.' },
    laces: {
      name: 'Cordones',
      how: 'Tiradores al centro de las alas, alas del todo fuera: iguales a ambos lados.',
      places: { right: 'cordón derecho', left: 'cordón izquierdo' },
    },
    'pull-marks': {
      name: 'Dónde terminan los tiradores',
      how: 'Desde el centro del ala: firme de pie, más flojo sentado.',
    },
    'front-panel-in': { name: 'Panel delantero', how: 'Puede omitirse.' },
  },
  parts: {
    'belt-wings': 'Cinturón',
    'panel-of-the-back': 'Panel trasero',
    'panel-of-the-front': 'Panel delantero',
    'pull-right': 'Tirador derecho',
    'pull-left': 'Tirador izquierdo',
  },
  operations: {
    ...panelWork,
  },
  steps: {
    'lay-out': {
      name: 'Extender el cinturón',
      hold: 'Ambos extremos a la marca de Talla, tiradores atrás en el centro de las alas, cordones iguales.',
    },
    'roll-away': {
      name: 'Rodar en bloque al lado lejano',
      hold: 'Cabeza, hombros y caderas giran a la vez.',
      caution: policy,
    },
    'tuck-near-wing': {
      name: 'Cinturón a la espalda, ala cercana metida debajo',
      hold: 'Ala cercana doblada; panel en el centro, su borde inferior sobre la articulación lumbosacra o tan bajo como sea cómodo.',
    },
    'roll-back': { name: 'Volver a rodar', hold: 'En bloque, sobre el cinturón.', caution: loss },
    'unfold-wing': { name: 'Desdoblar el ala', hold: 'Sacada plana de debajo de la espalda, sin arrugas.' },
    'round-the-waist': {
      name: 'Cinturón a la cintura',
      hold: 'Sentado al borde de la camilla, pies en el suelo.',
    },
    'panel-centred': {
      name: 'Panel en el centro',
      hold: 'Sobre la columna; borde inferior sobre la articulación lumbosacra o tan bajo como sea cómodo.',
    },
    'panel-centred-lying': {
      name: 'Panel en el centro',
      hold: 'Ambas alas llegan igual de lejos; la columna queda en el centro del panel.',
    },
    'close-belt': {
      name: 'Cerrar el cinturón',
      hold: 'Derecha sobre izquierda, o encima el ala con la presilla del pulgar.',
    },
    'both-pulls': {
      name: 'Ambos tiradores a la vez',
      hold: 'Hacia delante a la vez y con la misma fuerza, hasta que esté firme; luego cerrados.',
      caution: 'Firme, no tanto que falte el aire. Más flojo para sentarse.',
    },
    'park-pulls': parkPulls,
    'open-belt': { name: 'Abrir el cinturón', hold: 'Tumbado se quita como se puso: rodando.' },
    'draw-belt-out': { name: 'Sacar el cinturón', hold: 'Ala cercana doblada, de detrás de la espalda.' },
    'pull-apart': pullApart,
    'pulls-to-centres': { name: 'Tiradores al centro de las alas', hold: '' },
    'wings-out': { name: 'Alas del todo fuera', hold: '' },
    'laces-even': { name: 'Cordones iguales', hold: 'Ningún lazo más largo que su vecino.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'ends-at-one-mark': sameMark,
    'panel-in-the-middle': {
      name: 'Panel en el centro de la espalda',
      how: 'Palpado por detrás: la columna en su centro.',
      fix: 'Suelte los tiradores, mueva el cinturón, ambos tiradores otra vez.',
    },
    'lower-edge-low': {
      name: 'Borde inferior bastante bajo',
      how: 'Sobre la articulación lumbosacra, o tan bajo como sea cómodo.',
      fix: 'Suelte los tiradores, el cinturón más abajo, ambos tiradores otra vez.',
    },
    'breathes-and-sits': breathes,
  },
};

export const spinePullTab: SameShape<(typeof familiesEn)['spine-pull-tab']> = {
  lists: { 'belt-and-shoulders': 'El cinturón, luego las cinchas de hombro', 'taking-off': 'Quitar' },
  settings: {
    'belt-ends': ends,
    'low-panel-in': { name: 'Panel bajo', how: 'Como se prescribe.' },
    'tall-panel-in': { name: 'Panel alto', how: 'Como se prescribe.' },
    'fork-below-c7': {
      name: 'Horquilla del panel trasero',
      how: 'A la altura de los hombros, justo bajo C7: cuánto por debajo.',
    },
    'chest-strap-in': {
      name: 'Cincha del pecho',
      how: 'Solo para apartar las cinchas de hombro de las axilas.',
    },
  },
  parts: {
    'belt-wings': 'Cinturón',
    'panel-of-the-back': 'Panel trasero',
    'belt-pulls': 'Tiradores',
    'shoulder-straps': 'Cinchas de hombro',
    'chest-strap': 'Cincha del pecho',
  },
  operations: panelWork,
  steps: {
    'pulls-to-the-back': { name: 'Tiradores hacia el panel trasero', hold: 'Antes de ponerlo.' },
    'belt-on': {
      name: 'Cinturón puesto, bajo y centrado',
      hold: 'Sin tensión; borde superior e inferior firmes.',
    },
    'edges-both-snug': {
      name: 'Ambos bordes',
      hold: 'Borde superior e inferior firmes, antes de cualquier tensión.',
    },
    'set-the-fork': {
      name: 'Horquilla del panel trasero',
      hold: 'A la altura de los hombros, justo bajo C7.',
    },
    tension: { name: 'Después, la tensión', hold: 'Ambos tiradores a la vez.' },
    shoulders: { name: 'Cinchas de hombro', hold: 'A su longitud, ambas iguales.' },
    'chest-strap-last': {
      name: 'Cincha del pecho',
      hold: 'Solo para apartar las cinchas de hombro de las axilas.',
    },
    'does-not-shift': { name: 'No se mueve', hold: 'Inclinarse, girar, sentarse: se queda donde está.' },
    'lift-shoulder-straps': { name: 'Levantar las cinchas de hombro', hold: 'Para que queden holgadas.' },
    'park-pulls': parkPulls,
    'open-belt': { name: 'Abrir el cinturón', hold: '' },
    'pull-apart': pullApart,
    'look-at-the-skin': skin,
  },
  checks: {
    'edges-snug': {
      name: 'Borde superior e inferior firmes',
      how: 'Antes de los tiradores: ningún borde queda abierto.',
      fix: 'Abra el cinturón, más abajo o inclinado, ciérrelo otra vez sin tensión.',
    },
    'ends-at-one-mark': sameMark,
    'fork-just-below-c7': {
      name: 'Horquilla bajo C7',
      how: 'a la altura de los hombros, desde C7 hasta ella',
      fix: 'La horquilla de nuevo, luego la tensión.',
    },
    'straps-out-of-armpits': {
      name: 'Cinchas fuera de las axilas',
      how: 'Brazos adelante y colgando: nada corta.',
      fix: 'La cincha del pecho las acerca; afloje las de hombro.',
    },
    'stays-in-movement': {
      name: 'Se queda donde está al moverse',
      how: 'Camina, se inclina, gira, se sienta.',
      fix: 'Suelte los tiradores, el cinturón bajo y centrado, tensión otra vez.',
    },
    'breathes-and-sits': breathes,
  },
};

export const spineSternalPad: SameShape<(typeof familiesEn)['spine-sternal-pad']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  settings: {
    'two-belts': {
      name: 'Los dos cinturones',
      how: 'Ambos a la misma talla; se retallan cuando baja la hinchazón o el peso.',
      caution: 'Retallados, se mira otra vez todo lo que depende de ellos.',
      unit: 'marca',
      places: { upper: 'cinturón superior', lower: 'cinturón inferior' },
    },
    'lace-spools': {
      name: 'Carretes de cordón',
      how: 'Dan la longitud de los tiradores, ambos lados iguales.',
    },
    'sternal-pad-below-notch': {
      name: 'Almohadilla esternal bajo la escotadura',
      how: 'Sentado en la postura prescrita: su borde superior 13 mm bajo la escotadura esternal.',
      caution: 'No debe apretar la garganta al sentarse o mirar abajo.',
    },
    'under-arm-option': { name: 'Cinchas bajo el brazo', how: 'En lugar del recorrido por los hombros.' },
    'front-stiffener-in': { name: 'Refuerzo delantero', how: 'Se puede sacar.' },
  },
  parts: {
    'panel-of-the-back': 'Panel trasero',
    'belt-upper': 'Cinturón superior',
    'belt-lower': 'Cinturón inferior',
    'sternal-bar': 'Barra esternal',
    'sternal-pad': 'Almohadilla esternal',
    'shoulder-straps': 'Cinchas de hombro',
  },
  operations: {
    'place-pads': { name: 'Almohadillas', how: '' },
    'bend-sternal-bar': {
      name: 'Doblar la barra esternal',
      how: 'Viene a unos 15 grados. Despacio sobre un canto firme, a la postura prescrita; se anota el ángulo total.',
      caution: 'Fuera del cuerpo. No debe apretar la garganta al sentarse o mirar abajo.',
    },
  },
  steps: {
    'over-the-head': { name: 'Por la cabeza', hold: 'De pie, las cinchas de hombro al máximo.' },
    'side-panels-even': { name: 'Paneles laterales parejos', hold: 'Izquierda y derecha iguales.' },
    'sit-as-ordered': { name: 'Sentarse', hold: 'En la postura prescrita.' },
    'set-the-sternal-pad': {
      name: 'Almohadilla esternal',
      hold: 'Su borde superior 13 mm bajo la escotadura.',
    },
    'front-edge-at-symphysis': { name: 'Borde delantero', hold: 'En la sínfisis del pubis.' },
    'rear-strap-ends': { name: 'Cinchas de hombro', hold: 'Primero sus extremos traseros.' },
    'back-panel-between': { name: 'Panel trasero', hold: 'Entre los omóplatos y la zona lumbar.' },
    compress: { name: 'Comprimir', hold: 'Ambos tiradores a la vez, firme.' },
    'again-after-five': { name: 'Cinco minutos', hold: 'Después se mira otra vez la compresión.' },
    'release-pulls': { name: 'Soltar los tiradores', hold: '' },
    'one-shoulder-strap-off': { name: 'Fuera una cincha de hombro', hold: '' },
    'one-side-panel-off': { name: 'Un panel lateral fuera del frente', hold: '' },
    'off-like-a-jacket': { name: 'Quitar como una chaqueta', hold: 'Se desliza por el otro hombro.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'side-panels-alike': {
      name: 'Paneles laterales iguales',
      how: 'Ambos cinturones a la misma marca, derecha e izquierda iguales, planos.',
      fix: 'Suelte los tiradores, ambos paneles a la misma marca, comprima otra vez.',
    },
    'back-panel-in-place': {
      name: 'Panel trasero entre omóplatos y lumbares',
      how: 'Palpado por detrás: en el centro, su borde superior entre los omóplatos.',
      fix: 'Suelte los tiradores, mueva el panel, primero los extremos traseros, comprima otra vez.',
    },
    'pad-below-the-notch': {
      name: 'Almohadilla esternal bajo la escotadura',
      how: 'Sentado como se prescribe, de la escotadura al borde superior: 13 mm.',
      fix: 'La almohadilla se mueve por su barra; si se dobla, despacio sobre un canto firme.',
    },
    'edge-at-the-symphysis': {
      name: 'Borde delantero en la sínfisis',
      how: 'Sentado: el borde inferior llega a la sínfisis y no aprieta los muslos.',
      fix: 'Mueva la barra, luego otra vez la almohadilla esternal.',
    },
    'breathes-sits-stands': {
      name: 'Respira bien',
      how: 'Una respiración honda; nada aprieta bajo los brazos ni en la garganta.',
      fix: 'Compresión algo más floja; opción bajo el brazo; después sus bordes.',
    },
  },
};

export const spineBivalve: SameShape<(typeof familiesEn)['spine-bivalve']> = {
  lists: {
    'lying-log-roll': 'Tumbado, rodando en bloque',
    'seated-secured': 'Sentado, con la columna asegurada',
    'taking-off-lying': 'Quitar, tumbado',
    'taking-off-seated': 'Quitar, sentado',
  },
  settings: {
    'level-over-the-crests': {
      name: 'Nivel sobre las crestas ilíacas',
      how: 'Cuánto queda el surco de cintura sobre cada cresta: izquierda y derecha iguales.',
      caution: inLine,
    },
  },
  parts: {
    'shell-back': 'Valva trasera',
    'shell-front': 'Valva delantera',
    'strap-bottom-right': 'Cincha inferior derecha',
    'strap-bottom-left': 'Cincha inferior izquierda',
    'strap-middle-right': 'Cincha central derecha',
    'strap-middle-left': 'Cincha central izquierda',
    'strap-top-right': 'Cincha superior derecha',
    'strap-top-left': 'Cincha superior izquierda',
  },
  operations: {
    'trim-shell': { name: 'Recortar un borde', how: 'Fuera del cuerpo, poco a poco; el borde alisado.' },
    'flare-edge': { name: 'Abrir un borde', how: 'El borde vuelto hacia fuera, lejos de la piel.' },
    'heat-out': {
      name: 'Aliviar con calor',
      how: 'Calentado fuera del cuerpo hasta que ceda, sacado sobre la marca, sujeto hasta enfriar.',
      caution: 'Fuera del cuerpo: la piel bajo una ortesis rígida de tronco no se ve.',
    },
  },
  steps: {
    'shirt-on': { name: 'Camiseta puesta, lisa', hold: 'Una camiseta debajo, sin costuras ni arrugas.' },
    ...roll('on'),
    ...roll('off'),
    'rear-shell-in': { name: 'Valva trasera', hold: 'Deslizada a la espalda, la sábana alisada.' },
    'groove-over-crests': {
      name: 'Surco de cintura',
      hold: 'Justo sobre las crestas ilíacas, a ambos lados.',
    },
    'left-and-right-level': {
      name: 'Izquierda y derecha a nivel',
      hold: 'El surco igual de alto sobre ambas crestas, en mm.',
    },
    'front-over-back': { name: 'Valva delantera', hold: 'La delantera sobre la trasera, a ambos lados.' },
    'middle-straps': {
      name: 'Cinchas centrales',
      hold: 'Derecha e izquierda por turno: inspirar, aguantar, cerrar.',
      look: 'La delantera queda sobre la trasera, ambos lados iguales.',
    },
    'bottom-straps': {
      name: 'Cinchas inferiores',
      hold: 'Derecha e izquierda por turno: inspirar, aguantar, cerrar.',
    },
    'top-straps': {
      name: 'Cinchas superiores',
      hold: 'Derecha e izquierda por turno: inspirar, aguantar, cerrar.',
    },
    'mark-under-arms-and-thighs': {
      name: 'Mirar bajo los brazos y en los muslos',
      hold: 'Marcar lo que aprieta; quitar, recortar, poner, mirar otra vez: en Formar.',
    },
    'up-by-rolling': {
      name: 'Levantarse rodando',
      hold: 'Brazo cruzado, rodilla arriba, piernas por el borde; con fuerza propia hasta donde llegue.',
      caution: 'Nadie tira de los brazos.',
    },
    'level-now': { name: 'Nivel sobre las crestas', hold: 'Leído a ambos lados, sentado.' },
    'one-side-stays-closed': {
      name: 'Un lado queda cerrado',
      hold: 'Sus tres cinchas se cierran antes de ponerla. La primera vez sentado: sentarse, esperar, preguntar por mareo; tumbar de nuevo si se marea.',
    },
    'round-from-behind': {
      name: 'Rodear desde atrás',
      hold: 'Abierta por un lado, puesta desde atrás.',
      caution: 'Solo con la columna asegurada, como se prescribe.',
    },
    'middle-strap-of-the-open-side': {
      name: 'Cincha central del lado abierto',
      hold: 'Inspirar, aguantar, cerrar.',
    },
    'bottom-strap-of-the-open-side': {
      name: 'Cincha inferior del lado abierto',
      hold: 'Inspirar, aguantar, cerrar.',
    },
    'top-strap-of-the-open-side': {
      name: 'Cincha superior del lado abierto',
      hold: 'Inspirar, aguantar, cerrar.',
    },
    'down-by-the-shoulder': {
      name: 'Bajar sobre un hombro y rodar a la espalda',
      hold: 'Desde el borde de la cama, en bloque.',
      caution: policy,
    },
    'open-in-any-order': {
      name: 'Abrir las cinchas',
      hold: 'En cualquier orden; cada gancho doblado sobre sí.',
    },
    'front-off': { name: 'Fuera la valva delantera', hold: 'Tumbado boca arriba.' },
    'rear-drawn-out': { name: 'Sacar la valva trasera', hold: 'Mientras está rodado de lado.' },
    'open-one-side': { name: 'Abrir las tres cinchas de un lado', hold: 'Cada gancho doblado sobre sí.' },
    'off-to-the-other-side': { name: 'Quitar hacia el otro lado', hold: 'Abierta y retirada por detrás.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'level-left-and-right': {
      name: 'Izquierda y derecha a nivel sobre las crestas',
      how: 'cuánto queda el surco sobre cada cresta',
      fix: 'Abra las cinchas, mueva la valva hasta nivelar, cierre de nuevo.',
      value: 'derecha',
      reference: 'izquierda',
    },
    'groove-above-crests': {
      name: 'Surco justo sobre las crestas',
      how: 'Un dedo en el surco a ambos lados.',
      fix: 'Ruede otra vez, la valva trasera más alta o más baja.',
    },
    'front-overlaps-back': {
      name: 'La delantera sobre la trasera',
      how: 'A ambos lados, de arriba abajo.',
      fix: 'Abra las cinchas, la delantera sobre la trasera, primero las centrales.',
    },
    'under-the-arms-free': {
      name: 'Libre bajo los brazos',
      how: 'Brazos colgando: ningún borde en la axila, sin hormigueo en las manos.',
      fix: 'Marcar, quitar, recortar, poner, mirar otra vez.',
    },
    'thighs-free': {
      name: 'Libre en los muslos',
      how: 'Sentado, caderas flexionadas: ningún borde en la ingle.',
      fix: 'Marcar, quitar, recortar, poner, mirar otra vez.',
    },
    'rollers-do-not-nip': {
      name: 'Los rodillos no pellizcan',
      how: 'La piel bajo los brazos junto a cada rodillo.',
      fix: 'Alise la camiseta debajo; abra y cierre otra vez la cincha.',
    },
    'breathes-sits-stands': {
      name: 'Respira bien',
      how: 'Una respiración honda; nada aprieta bajo los brazos ni en la garganta.',
      fix: 'Cinchas otra vez en orden, inspirar y aguantar en cada una; después sus bordes.',
    },
  },
};

const headHeld = {
  name: 'Cabeza sujeta en línea',
  hold: 'Un ayudante no hace otra cosa, desde ahora hasta que esté cerrada; ese dirige.',
  caution: policy,
};
const openedName = 'Abierta para ver la piel, en línea';
const opened = {
  'open-the-straps': {
    name: 'Abrir las cinchas',
    hold: 'Cabeza sujeta; la mitad trasera se queda.',
    caution: inLine,
  },
  'front-lifted-off': {
    name: 'Quitar la mitad delantera',
    hold: 'Recta hacia arriba, sin levantar la cabeza.',
    caution: inLine,
  },
  'look-at-the-skin': skin,
  'closed-as-before': {
    name: 'Cerrar como antes',
    hold: 'Mitad delantera, luego ambas cinchas; otra vez las comprobaciones del cuello.',
    caution: inLine,
  },
};
const neutral = {
  name: 'Cuello en la posición prescrita',
  how: 'grados desde ella, visto de lado, mentón arriba cuenta como más; neutro si no hay nada prescrito y llega sin forzar; cifosis fija: la posición previa, acolchada por detrás',
  fix: 'En línea, sin forzar: abra y ajuste de nuevo. Más de 5 grados de diferencia: no está adaptado; otra talla, o pregunte al prescriptor.',
  minus: '{{amount}} flexionado',
};
const endsAlike = {
  name: 'Extremos de las cinchas igual de lejos',
  how: 'desde sus marcas, ambos lados',
  fix: 'Abra ambas, centre, cierre igual de lejos.',
  value: 'derecha',
  reference: 'izquierda',
};
const swallows = {
  name: 'Traga, respira, habla',
  how: 'Un sorbo de agua si se permite; que hable.',
  fix: 'Mantenga en línea, afloje las cinchas, llame a un médico si continúa.',
};
const pressed = {
  name: 'Nada aprieta barbilla, orejas ni occipucio',
  how: 'Un dedo por cada borde; la piel de debajo se mira en línea.',
  fix: 'Centre otra vez las almohadillas; aparte el borde.',
};

export const neckCollar: SameShape<(typeof familiesEn)['neck-collar']> = {
  lists: { 'putting-on': 'Poner, en línea', 'opened-in-line': openedName },
  settings: {
    'neck-neutral': {
      name: 'Cuello en el collarín',
      how: 'Su altura es su talla: da la posición prescrita, neutra si no hay nada prescrito; las cinchas terminan igual de lejos.',
      caution: inLine,
    },
  },
  parts: {
    'collar-rear': 'Mitad trasera',
    'collar-front': 'Mitad delantera',
    'collar-strap-right': 'Cincha derecha',
    'collar-strap-left': 'Cincha izquierda',
  },
  operations: {
    'centre-pads': {
      name: 'Almohadillas centradas',
      how: 'Por su ventana; lengüetas blandas debajo, la impresión derecha.',
    },
    'chin-pad-overhang': {
      name: 'Almohadilla de barbilla más allá del plástico',
      how: 'De 10 a 13 mm en todo el borde, que ningún plástico toque la barbilla.',
    },
    'pre-bend-edges': {
      name: 'Bordes predoblados',
      how: 'Los bordes de la mitad delantera al cuello antes de ir bajo la barbilla.',
    },
  },
  steps: {
    'head-held-in-line': headHeld,
    ...opened,
    'print-upright': {
      name: 'Del derecho',
      hold: 'Impresión derecha, los picos de las aberturas abajo, lengüetas blandas bajo la ventana.',
    },
    'edges-bent-inward': { name: 'Bordes traseros hacia dentro', hold: 'Antes de ponerlo; ambos iguales.' },
    'rear-first': {
      name: 'Primero la mitad trasera',
      hold: 'Deslizada plana, centrada; sus cinchas a medio camino entre trapecio y oreja.',
      caution: inLine,
    },
    'tabs-bent-out': {
      name: 'Lengüetas delanteras hacia fuera',
      hold: 'Un poco; los bordes doblados al cuello.',
    },
    'front-under-the-chin': {
      name: 'Mitad delantera bajo la barbilla',
      hold: 'Subida desde el pecho; solapa a la trasera.',
      caution: inLine,
    },
    'straps-equally-far': {
      name: 'Ambas cinchas',
      hold: 'Una tras otra, igual de lejos.',
      look: 'La barbilla sigue en el centro.',
    },
    'neutral-now': {
      name: 'Cuello en la posición prescrita',
      hold: 'Visto de lado. Neutro si no hay nada prescrito y llega sin forzar; cifosis fija: la posición previa, acolchada por detrás.',
    },
    'pads-by-the-window': {
      name: 'Almohadillas',
      hold: 'Centradas por la ventana; la de barbilla sobresale de su plástico.',
    },
  },
  checks: {
    'neck-is-neutral': neutral,
    'strap-ends-alike': endsAlike,
    'straps-midway-to-ear': {
      name: 'Cinchas a medio camino entre trapecio y oreja',
      how: 'Ambos lados, vistos de lado.',
      fix: 'En línea: abra las cinchas, mueva la mitad trasera, cierre de nuevo.',
    },
    'chin-pad-beyond-plastic': {
      name: 'Almohadilla de barbilla más allá del plástico',
      how: 'de 10 a 13 mm',
      fix: 'Primero las cinchas traseras fuera de sus ranuras, luego se recoloca la almohadilla.',
    },
    'swallows-and-breathes': swallows,
    'chin-and-occiput-not-pressed': pressed,
  },
};

export const neckTwoPost: SameShape<(typeof familiesEn)['neck-two-post']> = {
  lists: { 'putting-on': 'Poner, en línea', 'opened-in-line': openedName },
  settings: {
    'chin-dial': {
      name: 'Dial de la barbilla',
      how: 'En línea con la escotadura esternal: arriba hasta que la almohadilla toque, el cuello en la posición prescrita, la barbilla a nivel del forro.',
      caution: inLine,
      observed: { 'pad-touches': 'la almohadilla toque' },
    },
    'front-panel-height': {
      name: 'Altura del panel delantero',
      how: 'A nivel de las costillas, con su palanca.',
    },
  },
  parts: {
    'rear-panel': 'Panel trasero',
    'front-panel': 'Panel delantero',
    collar: 'Collarín',
    'chin-dial': 'Dial',
    'strap-right': 'Cincha derecha',
    'strap-left': 'Cincha izquierda',
  },
  notNeeded: { shape: 'No tiene nada que doblar ni moldear: almohadillas de repuesto y ajustes.' },
  operations: {
    'trim-strap-ends': {
      name: 'Recortar los extremos de las cinchas',
      how: 'Ambos lados iguales, doblados a su longitud y cerrados una vez.',
      caution: cutOnce,
      first: 'cada lado se enganchó, apretó y cerró una vez.',
    },
  },
  steps: {
    'head-held-in-line': headHeld,
    ...opened,
    'press-the-mattress': {
      name: 'Hundir el colchón',
      hold: 'Un segundo ayudante, junto al hombro: el panel trasero entra sin mover el cuello.',
      caution: inLine,
    },
    'slide-the-rear-panel': {
      name: 'Panel trasero',
      hold: 'Deslizado en línea; la almohadilla alisada a mano, cinchas iguales, la zona de gancho a medio camino entre oreja y trapecio.',
    },
    'belt-and-flanks': { name: 'Cinturón', hold: 'Paneles laterales en ambos flancos.' },
    'front-panel-on': { name: 'Panel delantero', hold: 'El dial en la escotadura esternal.' },
    'collar-on': { name: 'Collarín', hold: 'Colocado sin levantar la cabeza.' },
    'set-the-dial': {
      name: 'Subir el dial',
      hold: 'Hasta que toque: cuello en la posición prescrita, barbilla a nivel del forro.',
      caution: inLine,
    },
    'tuck-under-each-ear': {
      name: 'Meter bajo cada oreja',
      hold: 'Y apretar otra vez: libera las clavículas.',
    },
    'set-the-front-height': {
      name: 'Altura del panel delantero',
      hold: 'A nivel de las costillas, con su palanca.',
    },
    'clip-and-tighten': { name: 'Enganchar y apretar', hold: 'Cada lado, iguales.' },
    'trim-the-ends': {
      name: 'Recortar los extremos',
      hold: 'Doblar a su longitud y cerrar una vez antes de cortar.',
      caution: cutOnce,
    },
    'free-the-occipital-plates': { name: 'Placas occipitales', hold: 'Liberadas, que asienten, fijadas.' },
  },
  checks: {
    'neck-is-neutral': {
      ...neutral,
      fix: 'En línea, sin forzar: el dial arriba o abajo. Más de 5 grados de diferencia: no está adaptado; pregunte al prescriptor.',
    },
    'chin-level-with-liner': {
      name: 'Barbilla a nivel del forro',
      how: 'Vista de lado.',
      fix: 'En línea: el dial arriba o abajo hasta que toque.',
    },
    'panel-level-with-ribs': {
      name: 'Panel delantero a nivel de las costillas',
      how: 'Su borde inferior, palpado a ambos lados.',
      fix: 'Su altura con la palanca, luego enganchar y apretar otra vez.',
    },
    'clavicles-free': {
      name: 'Clavículas libres',
      how: 'Un dedo sobre cada una.',
      fix: 'Métalo bajo cada oreja y apriete otra vez.',
    },
    'strap-ends-alike': endsAlike,
    'swallows-and-breathes': swallows,
    'chin-and-occiput-not-pressed': pressed,
  },
};

export const shoulderSupport: SameShape<(typeof familiesEn)['shoulder-support']> = {
  lists: { 'with-help': 'Con ayuda', alone: 'A solas', 'taking-off': 'Quitar' },
  notNeeded: {
    set: 'No se ajusta nada: sus cinchas se tensan cada vez.',
    shape: 'No se dobla ni se almohadilla nada: se lleva como viene.',
  },
  parts: {
    'arm-sleeve': 'Manga',
    'joint-pad': 'Almohadilla',
    'upper-strap': 'Cincha trasera superior',
    'lower-strap': 'Cincha trasera inferior',
    'abdomen-belt': 'Cinturón',
  },
  steps: {
    'arrow-up': { name: 'Manga puesta, flecha arriba', hold: 'Brazo algo flexionado, subida por el brazo.' },
    'edge-out': { name: 'Volver el borde hacia fuera', hold: 'Ante un espejo.' },
    'arm-through': { name: 'Pasar el brazo, por delante', hold: 'La otra mano sube la manga.' },
    'straps-over-head': { name: 'Las cinchas por la cabeza', hold: 'Quedan en el otro lado del cuello.' },
    'pad-on-the-joint': {
      name: 'Almohadilla en la articulación',
      hold: 'Su borde superior a nivel de lo alto del hombro, su relieve en la interlínea.',
    },
    'upper-loose': { name: 'Cincha superior, floja', hold: 'Desde atrás: cuello, axila contraria, abdomen.' },
    'lower-loose': {
      name: 'Cincha inferior, floja',
      hold: 'Por la espalda hacia delante, por el ojal, al cinturón.',
    },
    'under-the-arm': {
      name: 'Mirar bajo el brazo y la almohadilla',
      hold: 'Nada corta; la almohadilla sigue donde estaba.',
      caution: 'Por la axila pasan vasos y nervios al descubierto.',
    },
    'upper-tight': { name: 'Cincha superior, apretada', hold: 'El hombro queda sujeto, no levantado.' },
    'lower-tight': { name: 'Cincha inferior, apretada', hold: 'La misma tensión que la superior.' },
    'open-at-the-abdomen': { name: 'Abrir en el abdomen', hold: '' },
    'arm-out': { name: 'Sacar el brazo', hold: 'La otra mano sujeta el codo.' },
    'down-by-the-hem': { name: 'Bajar por el dobladillo', hold: '' },
    'look-at-the-skin': skin,
  },
  checks: {
    'pad-level': {
      name: 'Almohadilla a nivel de lo alto del hombro',
      how: 'Borde superior, visto de frente.',
      fix: 'Afloje, mueva la almohadilla, apriete de nuevo en orden.',
    },
    'ridge-at-the-joint': {
      name: 'Relieve en la interlínea',
      how: 'Palpado a través de la manga.',
      fix: 'Afloje, gire la manga, apriete de nuevo en orden.',
    },
    'armpit-free': {
      name: 'Nada corta bajo el brazo',
      how: 'Dos dedos por el borde, brazo colgando.',
      fix: 'Afloje la cincha inferior y baje el borde.',
    },
    'hand-warm-moving-felt': {
      name: 'Mano caliente, se mueve, se siente',
      how: 'Color, calor, movimiento, tacto.',
      fix: 'Abra ya las cinchas y mire de nuevo; llame a un médico si continúa.',
    },
    'refill-of-the-fingers': refill,
  },
};

export const ankleStabiliser: SameShape<(typeof familiesEn)['ankle-stabiliser']> = {
  lists: { 'putting-on': 'Poner', 'taking-off': 'Quitar' },
  settings: {
    'side-sign': {
      name: 'Lado',
      how: 'Izquierda y derecha difieren; una marca dentro lo dice. Cada cincha tiene su forma impresa.',
      in: 'Es para este lado',
      out: 'Es para el otro lado',
    },
  },
  parts: {
    'shell-outer': 'Valva externa',
    'shell-inner': 'Valva interna',
    'strap-round': 'Cincha superior',
    'strap-eight': 'Cincha inferior',
    tongue: 'Lengüeta',
  },
  operations: {
    'bend-tongue-back': {
      name: 'Doblar atrás la lengüeta',
      how: 'Con el pie levantado: donde el borde corta se dobla lejos de la espinilla.',
    },
  },
  steps: {
    'open-both-straps': { name: 'Abrir del todo ambas cinchas', hold: '' },
    'tongue-forward': { name: 'Lengüeta hacia delante', hold: '' },
    'foot-in-shells': {
      name: 'Meter el pie',
      hold: 'Valva externa por delante del maléolo, interna por detrás; talón atrás.',
    },
    'round-above': { name: 'Cincha superior, alrededor', hold: 'Tensión ligera.' },
    'eight-below': {
      name: 'Cincha inferior, en ocho',
      hold: 'Sobre el empeine, bajo el talón; su extremo arriba por el ojal.',
    },
    'lift-the-foot': { name: 'Levantar el pie', hold: 'La lengüeta no debe cortar: si no, se dobla atrás.' },
    'stand-on-it': { name: 'De pie', hold: 'Sin arrugas; con la carga permitida.' },
    'into-the-shoe': { name: 'Al zapato', hold: 'Cordones abiertos, primero el talón.' },
    'out-of-the-shoe': { name: 'Fuera del zapato', hold: 'Cordones abiertos.' },
    'look-at-the-skin': skin,
  },
  checks: {
    'outer-before-inner-behind': {
      name: 'Valva externa delante, interna detrás del maléolo',
      how: 'Ambos lados, sentado.',
      fix: 'Abra las cinchas, el pie atrás, coloque otra vez las valvas.',
      yes: 'Como debe',
    },
    'tongue-does-not-cut': {
      name: 'La lengüeta no corta',
      how: 'Con el pie levantado.',
      fix: 'Doble atrás el borde de la lengüeta.',
    },
    'no-creases-standing': {
      name: 'Sin arrugas',
      how: 'De pie, sobre el empeine y tras el talón.',
      fix: 'Abra la cincha inferior, alise, cierre de nuevo.',
    },
    'fits-in-the-shoe': {
      name: 'Cabe en el zapato',
      how: 'El talón abajo, nada aprieta.',
      fix: 'Un zapato más ancho, atado por encima.',
    },
    'toes-warm-moving-felt': toes,
    'capillary-refill': refill,
  },
};
