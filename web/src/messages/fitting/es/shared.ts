/* Lo que varias familias dicen con las mismas palabras. */
export const skin = {
  name: 'Mirar la piel',
  hold: 'Presione lo rojo 3 segundos: palidece. En piel oscura compare temperatura, firmeza, dolor y color. Si sigue rojo a los 30 minutos, es morado o no palidece: quite la presión de ese sitio y llame hoy. Una ortesis protectora sigue como se prescribió.',
};

export const fibularNeck = {
  name: 'Libre del cuello del peroné',
  how: 'Un dedo entre el borde y el cuello del peroné, por fuera.',
  fix: 'Mueva la cincha o el manguito antes de que el paciente se levante.',
};

export const toes = {
  name: 'Dedos calientes, se mueven, se sienten',
  how: 'Color, calor, movimiento, tacto.',
  fix: 'Abra ya las cinchas y mire de nuevo; llame a un médico si continúa.',
};

export const refill = {
  name: 'La uña vuelve a rosa',
  how: 'Una uña apretada hasta blanquear, segundos hasta rosa; 2 como máximo',
  fix: 'Abra ya las cinchas y mire de nuevo; llame a un médico si continúa.',
};

export const calfNerve = 'Lejos del cuello del peroné: ahí el nervio está al descubierto.';

export const atStops = {
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
};

export const hingeChecks = (height: string, behind: string) => ({
  'hinge-height': {
    name: `Altura de la bisagra frente a ${height}`,
    fix: 'Abra, corrija la altura, cierre de nuevo en orden.',
    minus: '{{amount}} por debajo',
  },
  'hinge-behind-midline': {
    name: 'Bisagra detrás de la línea media lateral',
    how: behind,
    fix: 'Abra, la bisagra hacia atrás, cierre de nuevo en orden.',
    minus: '{{amount}} por delante',
  },
});

export const square = {
  name: 'Alineación',
  how: 'A escuadra con la tibia, vista de frente.',
  fix: 'Abra todo, gire la ortesis, empiece la secuencia de nuevo.',
  yes: 'A escuadra',
  no: 'Torcida',
};

export const gentlePressure = {
  name: 'Una presión suave, no más',
  how: 'Se pregunta tras caminar: suave, sin dolor, sin que gire la ortesis.',
  fix: 'Retroceda un poco, que camine, pregunte otra vez.',
};

export const legChecks = {
  'not-twisted': square,
  ...atStops,
  'fibular-neck-clear': fibularNeck,
  'toes-warm-moving-felt': toes,
  'capillary-refill': refill,
};

export const uprights = { 'upright-medial': 'Barra medial', 'upright-lateral': 'Barra lateral' };
export const kneeHinges = { 'hinge-medial': 'Bisagra medial', 'hinge-lateral': 'Bisagra lateral' };
export const shells = { 'shin-shell': 'Manguito de la espinilla', 'thigh-shell': 'Manguito del muslo' };
export const straps = (count: number): Record<string, string> =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [`strap-${i + 1}`, `Cincha ${i + 1}`]));

export const benchWork = {
  'bend-uprights': { name: 'Doblados de las barras', how: '' },
  'place-pads': { name: 'Almohadillas', how: '' },
};

export const cutOnce = 'Lo que se corta no se repone.';

export const panelWork = {
  'warm-panels': {
    name: 'Formar un panel con calor',
    how: 'Calentar hasta que ceda, luego a la lordosis o al tejido blando.',
    caution: 'Nunca caliente sobre la piel: tóquelo antes con el dorso de la mano.',
  },
  'cut-panels': {
    name: 'Recortar un panel',
    how: 'Con tijeras; el fieltro por sus muescas. El extremo con la ventana abierta vuelve hacia el centro.',
    caution: 'Nunca el extremo con la ventana abierta.',
  },
};

export const offLists = {
  'taking-off': 'Quitar',
  'by-the-buckles': 'Volver a poner, por las hebillas',
  'straps-back': 'Después de lavar',
};
export const offSteps = {
  'open-straps-fold-hooks': {
    name: 'Abrir todas las cinchas',
    hold: 'Cada gancho doblado sobre su propia cincha.',
  },
  'open-in-order': {
    name: 'Abrir las cinchas de la 1 a la 6',
    hold: 'Cada gancho doblado sobre su propia cincha.',
  },
  'open-buckles-only': { name: 'Abrir solo las hebillas', hold: 'Las cinchas se quedan como están.' },
  'draw-off': { name: 'Sacar la ortesis', hold: 'Por el pie, la pierna relajada.' },
  'look-at-the-skin': skin,
  'straps-to-their-numbers': {
    name: 'Cinchas a sus números',
    hold: 'Las cinchas lavadas vuelven al sitio de su número.',
  },
  'close-buckles': {
    name: 'Cerrar las hebillas, de la 1 a la 4',
    hold: 'Una mano en la bisagra, para que no gire. Las cinchas se quedan como están.',
  },
  'not-turned-look': { name: 'Mirar la bisagra', hold: 'A la altura de lo alto de la rótula, sin girar.' },
};
