import type { SameShape } from '../../messages/same-shape';
import type { instrumentsMessages as instrumentsMessagesEn } from './en';

/** The same in Spanish. */
export const instrumentsMessages: SameShape<typeof instrumentsMessagesEn> = {
  instruments: {
    held: '{{name}}: lo usa {{by}} en otro puesto',
    claim: 'Tomar {{name}}',
    title: 'Instrumentos',
    tape: 'cinta',
    calliper: 'calibre',
    goniometer: 'goniómetro',
    inclinometer: 'inclinómetro',
    scale: 'báscula',
    gauge: 'dinamómetro',
    told: 'dicho',
    simulated: 'simulado',
    reads: '{{name}}: {{value}}',
    waits: '{{name}}: esperando un valor',
    lost: '{{name}}: conexión perdida, se intenta de nuevo',
    none: 'Sin {{kind}} conectado. Escriba el valor.',
    space: 'lo toma',
    overdue: 'Calibración vencida desde el {{day}}.',
    calibrated: 'calibrado el {{day}}, desvío {{offset}}',
    connect: 'Conectar instrumentos',
    disconnect: 'Desconectar',
    nothingYet: 'El instrumento aún no ha dado valor.',
    calibrate: 'Calibración',
    calibrateTitle: '{{name}}: una calibración nueva',
    calibrateHow:
      'Lo que marca de más en la referencia, en su unidad; con menos si marca de menos. Se resta de cada valor desde ahora.',
    calibratedOn: 'Calibrado el',
    offset: 'Desvío ({{unit}})',
    saveCalibration: 'Tomar la calibración',
    notSaved: 'El servidor no responde. No se sabe si se guardó: mire y repita.',
    notLater: 'Elija un día no posterior a hoy.',
  },
  fingers: {
    yours: 'Con sus propios tres dedos: {{breadth}}.',
    again: 'Medirlos otra vez',
    ask: '¿Qué ancho tienen sus tres dedos? Póngalos planos sobre una regla, una vez: se guardan con usted.',
    label: 'Mis tres dedos',
    between: 'Tres dedos: de {{least}} a {{most}}.',
  },
};
