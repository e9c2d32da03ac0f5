import type { SameShape } from '../../messages/same-shape';
import type { reviewingMessages as reviewingMessagesEn } from './en';

/** The same in Spanish. */
export const reviewingMessages: SameShape<typeof reviewingMessagesEn> = {
  relief: {
    title: 'Alivio frente a la cuenta',
    day: 'Día',
    pain: 'Dolor',
    hours: 'Horas al día',
    stood: 'Estaba en',
    counts:
      'En la revisión tras un cambio el dolor fue menor {{less}} veces, igual {{same}}, mayor {{more}} ({{compared}} comparadas).',
    tooFew: 'Sin veredicto con menos de cinco.',
    verdict: {
      less: 'Menor más a menudo de lo que daría el azar.',
      more: 'Mayor más a menudo de lo que daría el azar.',
      undecided: 'No más a menudo lo uno que lo otro.',
    },
    notCause: 'Recuentos, no causa: no se sabe qué más cambió entretanto.',
  },
  stopProblem: {
    'window-reversed': 'La extensión prescrita queda más allá de la flexión.',
    'no-extension-piece': 'Ningún tope de extensión queda dentro de lo prescrito.',
    'no-flexion-piece': 'Ningún tope de flexión queda dentro de lo prescrito.',
    'stops-cross': 'Los topes dentro de lo prescrito no dejarían movimiento.',
    'joint-outside': 'Los topes forzarían la articulación: no llega al rango prescrito.',
  },
  stopProblemDo: {
    'window-reversed': 'No se elige nada. Pregunte a quien prescribe qué límites son.',
    'no-extension-piece': 'No se elige nada. Pida un tope al fabricante, u otros límites a quien prescribe.',
    'no-flexion-piece': 'No se elige nada. Pida un tope al fabricante, u otros límites a quien prescribe.',
    'stops-cross': 'No se elige nada. Pida a quien prescribe otros límites u otra ortesis.',
    'joint-outside': 'No se elige nada. Diga a quien prescribe lo que alcanza la articulación.',
  },
  figures: {
    extension: 'Extensión',
    flexion: 'Flexión',
    pain: 'Dolor',
    hours: 'Horas',
  },
  reviewing: {
    askDanger: 'Pregunte antes los signos de peligro; después se muestra qué cambiar.',
    howUnlimited: 'Visto por última vez el {{day}}. Un ajuste cada vez.',
    question: '¿Qué ha cambiado, y qué se ajusta?',
    how: 'Visto el {{day}}. Prescrito hoy: {{window}}. Un ajuste cada vez.',
    skin: 'La piel bajo la ortesis',
    pain: 'Dolor, 0 nada a 10 el peor',
    hours: 'Uso al día (puede quedar vacío)',
    hoursWorn: '{{hours}} h al día',
    note: 'Nota (puede quedar vacía)',
    take: 'Tomar el control',
    takeTelephone: 'Tomar un control por teléfono',
    telephoneProtective: 'Esta órtesis protege: un control por teléfono no sustituye a una visita.',
    byTelephone: 'por teléfono',
    sayWhich: 'Diga cuál.',
    changes: 'Cambios desde el {{day}}',
    otherSize:
      'Por las medidas de hoy la talla sería {{now}}, no {{chosen}}. Mida de nuevo antes del siguiente paso.',
    course: '{{motion}}: movilidad en las visitas, grados',
    whichMotion: 'Qué movimiento',
    refer: 'Hoy sin ajuste.',
    referProtective: 'Hoy no se cambian topes. La ortesis protege: se queda puesta según lo prescrito.',
    referOther: 'Hoy no se cambian topes. Fuera hasta que responda quien prescribe.',
    noChange: 'Lo ajustado es lo de la fase {{phase}}. Nada que ajustar.',
    nextPhase: 'A la fase {{phase}} de la prescripción: {{window}}',
    checkAgain: 'Los topes son nuevos: mida otra vez la articulación en ambos topes.',
    next: 'Próximo control',
    plan: 'Preverlo',
    nextPlanned: 'Próximo control {{day}}.',
    laterDay: 'Elija un día posterior a hoy.',
    callFirst: 'Hoy hay que llamar: vea arriba. Prevea la visita según lo que se diga.',
  },
};
