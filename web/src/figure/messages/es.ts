import type { SameShape } from '../../messages/same-shape';
import type { figureMessages as figureMessagesEn } from './en';

/** The same in Spanish. */
export const figureMessages: SameShape<typeof figureMessagesEn> = {
  figure: {
    front: 'delante',
    back: 'detrás',
    side: 'lado derecho',
    outer: 'lado externo',
    held: 'no se dibuja más',
    wanted: 'se quiere {{angle}}',
    otherSide: 'otro lado',
    lastVisit: 'última visita',
    turn: 'Girar: {{view}}',
    description: '{{part}}, dibujo según las lecturas.',
    descriptionWith: '{{part}}, dibujo según las lecturas. Ahora: {{step}}.',
  },
};
