import type { SameShape } from '../../messages/same-shape';
import type { caseMessages as caseMessagesEn } from './en';

/** The same in Spanish. */
export const caseMessages: SameShape<typeof caseMessagesEn> = {
  typedHere: {
    ask: 'Escrito y sin registrar: {{what}}. Regístrelo o bórrelo antes.',
    without: 'Continuar sin ello',
    back: 'Volver a ello',
  },
  versions: {
    title: 'Versiones',
    holds: 'Versión de la familia {{family}}, del modelo {{model}}.',
    newest: 'No hay otra más nueva.',
    newer: 'Hay una más nueva: versión de la familia {{family}}, del modelo {{model}}.',
    move: 'Pasar este caso a la más nueva',
    what: 'Las lecturas quedan como están. Talla, topes y comprobaciones se calculan de nuevo, y dicen dónde diferirían ahora.',
  },
  calls: {
    emergency: 'Emergencia: {{number}}',
    worn: {
      skin: 'rojez que se queda bajo una ortesis protectora',
      pain: 'dolor con una ortesis protectora',
    },
    'lost-in-move': 'pérdida de movilidad o sensibilidad al mover',
    title: {
      emergency: 'Emergencia ahora: {{what}}',
      'physician-now': 'Llamar a un médico ahora: {{what}}',
      prescriber: 'Llamar hoy al prescriptor: {{what}}',
      'foot-team': 'Llamar al equipo del pie hasta el próximo día laborable: {{what}}',
    },
    'limb-safety': 'no se cumple, {{check}}',
    'outside-order': 'más allá de lo prescrito, {{check}}',
    due: 'Hallado el {{day}}. Aún sin avisar.',
    made: 'Avisado {{whom}}, {{day}}: {{said}}',
    make: 'La llamada está hecha',
    whomLabel: 'A quién',
    saidLabel: 'Qué dijo',
    needs: 'Diga a quién llamó y qué dijo.',
  },
  unsafeDo: {
    'worn-keep-on':
      'Se sigue llevando como está prescrito hasta que quien prescribe diga otra cosa; no quitarla, quedarse quieto.',
    'worn-take-off': 'Se sigue llevando como está prescrito hasta que quien prescribe diga otra cosa.',
    'lost-in-move-keep-on':
      'Completar el giro de vuelta a supino, en bloque. Llamar ahora. No seguir con la colocación.',
    'lost-in-move-take-off':
      'Completar el giro de vuelta a supino, en bloque. Llamar ahora. No seguir con la colocación.',
    'toes-warm-moving-felt-keep-on':
      'Ahora: afloje las cinchas, mantenga sujeta la articulación en la ortesis, llame a urgencias. El uso prescrito sigue hasta que alguien lo vea.',
    'toes-warm-moving-felt-take-off':
      'Ahora: abra las cinchas, quítela y mire de nuevo. Llame a urgencias si no vuelve enseguida.',
    'limb-safety-keep-on':
      'Ahora: abra lo que aprieta, mantenga sujeta la articulación en la ortesis y llame. El uso prescrito sigue hasta que alguien lo vea.',
    'limb-safety-take-off': 'Ahora: quítela y llame. No se lleva hasta que alguien la vea.',
    'outside-order-keep-on':
      'La articulación pasa lo prescrito: quieta y lejos de ese extremo, la ortesis puesta según lo prescrito, hasta que los topes la sujeten.',
    'outside-order-take-off':
      'La articulación pasa lo prescrito: no se lleva hasta que los topes la sujeten dentro.',
  },
  referBecause: {
    'skin-broken': 'La piel está abierta.',
    'skin-stays-red': 'La piel sigue roja.',
    'pain-high': 'El dolor es 7 o más.',
  },
};
