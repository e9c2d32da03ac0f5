import type { SameShape } from '../../messages/same-shape';
import type { frameMessages as frameMessagesEn } from './en';

/** The same in Spanish. */
export const frameMessages: SameShape<typeof frameMessagesEn> = {
  outbox: {
    ofCase: 'De {{who}}: algo no se admitió y queda aquí.',
    ofSomeCase: 'De otro caso: algo no se admitió y queda aquí.',
    openCase: 'Abrir el caso',
    mine: 'Lo suyo',
    inForce: 'Vigente ahora, escrito por {{who}}',
    both: 'Otra persona, u otra pestaña, ha escrito una entretanto. Están las dos; nada suyo se pierde.',
    sending_one: 'Enviando {{count}}',
    sending_other: 'Enviando {{count}}',
    away_one: 'Servidor ausente: {{count}} entrada espera aquí',
    away_other: 'Servidor ausente: {{count}} entradas esperan aquí',
    'signed-out_one': 'Sin identificar: {{count}} entrada espera aquí',
    'signed-out_other': 'Sin identificar: {{count}} entradas esperan aquí',
    busy_one: '{{count}} entrada espera: el servidor pide paciencia y se le vuelve a preguntar',
    busy_other: '{{count}} entradas esperan: el servidor pide paciencia y se le vuelve a preguntar',
    full_one: '{{count}} entrada espera: el disco del servidor está lleno. Avise a la administración.',
    full_other: '{{count}} entradas esperan: el disco del servidor está lleno. Avise a la administración.',
    failed_one: '{{count}} entrada espera: el servidor falló con ella y se le vuelve a preguntar',
    failed_other: '{{count}} entradas esperan: el servidor falló con una y se le vuelve a preguntar',
    ofOthers_one:
      '{{count}} entrada de {{name}} espera en esta máquina. Se envía cuando {{name}} entre aquí.',
    ofOthers_other:
      '{{count}} entradas de {{name}} esperan en esta máquina. Se envían cuando {{name}} entre aquí.',
    somebody: 'otra persona',
    unsent: 'Esto no se admitió y queda aquí: {{what}}{{at}}.',
    writtenAt: ', escrito {{at}}',
    sendOnTop: 'Enviar lo mío encima',
    sendAgain: 'Enviarlo de nuevo',
    copyOut: 'Copiarlo',
    textTitle: 'Lo que se escribió',
    text: 'Como se enviaría',
    copy: 'Copiar',
    copied: 'Copiado.',
    giveUp: 'Descartar',
    giveUpTitle: 'Descartar',
    giveUpWhat:
      'Desaparecerá de aquí y no estará nunca en el registro. Queda escrito que se descartó, quién y por qué.',
  },
  keys: {
    title: 'Teclas',
    digits: { key: '0 – 9', does: 'van a la lectura que se pide' },
    enter: { key: 'Intro', does: 'la toma y sigue' },
    b: { key: 'B', does: 'el otro lado, mientras se mide' },
    brackets: { key: '[  ]', does: 'la etapa anterior, la siguiente' },
    slash: { key: '/', does: 'buscar una persona o una ortesis' },
    u: { key: 'U', does: 'la siguiente unidad: mm, cm, in' },
    escape: { key: 'Esc', does: 'cierra lo que flota sobre la pantalla' },
    question: { key: '?', does: 'esta lista, y para qué es la etapa' },
  },
  clock: {
    behind:
      'El reloj de este equipo va {{by}} atrasado respecto al servidor. Póngalo en hora: los registros llevan una hora errónea.',
    ahead:
      'El reloj de este equipo va {{by}} adelantado respecto al servidor. Póngalo en hora: el servidor rechaza registros del futuro.',
    minutes_one: '{{count}} minuto',
    minutes_other: '{{count}} minutos',
    hours_one: '{{count}} hora',
    hours_other: '{{count}} horas',
  },
};
