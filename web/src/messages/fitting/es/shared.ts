/* Lo que varias familias dicen con las mismas palabras. */
export const skin = {
  name: 'Mirar la piel',
  hold: 'Si sigue roja tras un cuarto de hora: llamar antes de volver a ponerla.',
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

export const calfNerve = 'Lejos del cuello del peroné: ahí el nervio está al descubierto.';
