import type { en } from './en';
import { esFamilies } from './es-families';
import { faults } from './es-faults';
import type { SameShape } from './same-shape';
import { everywhereMessages } from './everywhere/es';
import { frameMessages } from '../frame/messages/es';
import { visitsMessages } from '../visits/messages/es';
import { peopleMessages } from '../people/messages/es';
import { figureMessages } from '../figure/messages/es';
import { caseMessages } from '../case/messages/es';
import { instrumentsMessages } from '../instruments/messages/es';
import { screeningMessages } from '../screening/messages/es';
import { sizingMessages } from '../sizing/messages/es';
import { measuringMessages } from '../measuring/messages/es';
import { settingMessages } from '../setting/messages/es';
import { shapingMessages } from '../shaping/messages/es';
import { findingsMessages } from '../findings/messages/es';
import { checkingMessages } from '../checking/messages/es';
import { strappingMessages } from '../strapping/messages/es';
import { wearingMessages } from '../wearing/messages/es';
import { reviewingMessages } from '../reviewing/messages/es';
import { casePageMessages } from '../case-page/messages/es';
import { benchMessages } from '../bench/messages/es';
import { casesMessages } from '../cases/messages/es';
import { catalogueMessages } from '../catalogue/messages/es';
import { clinicMessages } from '../clinic/messages/es';

/** Todo lo que dice la interfaz, en español: el mismo esquema que en.ts, y el tipo lo exige. */
export const es: SameShape<typeof en> = {
  ...esFamilies,
  ...everywhereMessages,
  ...frameMessages,
  ...visitsMessages,
  ...peopleMessages,
  ...figureMessages,
  ...caseMessages,
  ...instrumentsMessages,
  ...screeningMessages,
  ...sizingMessages,
  ...measuringMessages,
  ...settingMessages,
  ...shapingMessages,
  ...findingsMessages,
  ...checkingMessages,
  ...strappingMessages,
  ...wearingMessages,
  ...reviewingMessages,
  ...casePageMessages,
  ...benchMessages,
  ...casesMessages,
  ...catalogueMessages,
  ...clinicMessages,
  refused: {
    'other-site': 'Se rechaza escribir desde otro sitio.',
    'no-route': 'Aquí no hay nada con esa dirección.',
    'no-case': 'Aquí no hay ningún caso así.',
    'no-model': 'Aquí no hay ningún modelo así.',
    'no-content': 'Aquí no hay contenido con esta huella.',
    'no-template': 'Aquí no hay ninguna plantilla así.',
    'no-user': 'Aquí no hay ningún usuario así.',
    'no-setting-or-part': 'Aquí no hay ningún ajuste ni pieza así.',
    'no-measuring-step': 'Aquí no hay ningún paso de medición así.',
    'no-instrument': 'Aquí no hay ningún instrumento así.',
    'no-person': 'Aquí no hay ninguna persona así.',
    'set-up-already': 'Este centro ya está configurado.',
    'no-sensor': 'No hay ningún sensor registrado en este centro.',
    'not-one-of': '{{name}} debe ser uno de estos: {{words}}.',
    'not-whole': '{{name}} debe ser un número entero de {{least}} a {{most}}.',
    'too-long': '{{name}} debe ser un texto de {{longest}} caracteres como máximo.',
    'no-uuid': 'El identificador debe ser un UUID en minúsculas.',
    'not-days': 'El primer día y el último deben ser fechas, AAAA-MM-DD, en orden.',
    'too-many-days': 'Se miran {{most}} días como máximo de una vez.',
    'no-sending-kind': 'Debe ser un instrumento que envía valores.',
    'no-side': 'El lado debe ser izquierdo, derecho o línea media.',
    'not-json': 'El contenido no es JSON.',
    'bad-path': 'La dirección no está bien codificada.',
    'not-sound': '{{fault}}',
    unreadable: 'La petición no se puede leer.',
    'not-valid': '{{faults}}',
    'id-taken': 'Use un identificador nuevo para una entrada nueva.',
    'not-imported': 'No se ha importado nada. Corrija las filas y envíelo de nuevo.',
    'file-too-large': 'Este archivo es más de lo que se puede leer de una vez: divídalo.',
    'too-large': 'Es más de lo que se puede enviar de una vez.',
    'other-user': 'Aquí ha iniciado sesión ahora {{who}}.',
    'not-signed-in': 'Inicie sesión y envíelo de nuevo.',
    locked: 'Desbloquee este equipo y envíelo de nuevo.',
    'wrong-password': 'El usuario o la contraseña no son correctos.',
    'wrong-pin': 'El PIN no es correcto.',
    'pin-used-up': 'Inicie sesión con su contraseña.',
    'by-password': 'Inicie sesión con su contraseña.',
    'wrong-code': 'Este no es el código que muestra la consola del servidor.',
    'role-may-not': 'Su función ({{role}}) no permite hacer esto ({{what}}).',
    'role-may-not-write': 'Su función ({{role}}) no permite registrar {{kind}}.',
    'not-your-entry': 'Cada entrada la registra quien inicia sesión para ello.',
    'already-open': 'Este caso ya se había abierto.',
    'another-meanwhile': 'Entretanto se ha registrado otra. Mire las dos y envíe la suya de nuevo.',
    'record-does-not-hold':
      'Este caso no está como cuando se escribió o selló por última vez. No se añade nada hasta que la administración ejecute «npm run verify».',
    'newer-version': 'La siguiente versión ({{sort}}) es la {{next}}.',
    'version-just-written': 'Otra persona acaba de guardar esta versión.',
    'leaves-out':
      'Una tabla de aquí dice más que el archivo. Mire qué se perdería y diga después que puede perderse.',
    'own-password': 'La contraseña propia se cambia con el propio nombre.',
    'account-closed': 'Esta cuenta está cerrada: ábrala antes.',
    'instrument-here': 'Ya hay aquí un instrumento con este identificador.',
    'stand-in': 'Un simulador inventa sus valores. Registre antes el instrumento real.',
    'nothing-logged': 'El sensor registra desde el primer día de uso.',
    'no-folder': 'Indique antes la carpeta de las copias y guarde.',
    'back-up-failed': '{{why}}',
    'no-back-up': 'Haga antes una copia y restáurela después de prueba.',
    'person-merged': 'Esta persona se unió a otra: cambie aquella.',
    'merged-already': 'Esta persona ya se había unido a otra.',
    'person-changed':
      'Otra persona ha cambiado estos datos entretanto. Mire los dos y guarde los suyos de nuevo.',
    'perhaps-the-same': 'Aquí ya hay alguien parecido. Elija a esa persona o diga que es otra.',
    'merge-too-old': 'Una unión se deshace en el plazo de un día; esta es anterior.',
    'visit-of-case': 'Esta visita consta en el registro de un caso: cámbiela allí.',
    'just-written': 'Otra persona acaba de registrar esto. Mírelo y siga después.',
    'too-many-tries': 'Espere cinco minutos y pruebe de nuevo.',
    'too-many-streams': 'Se siguen {{most}} instrumentos como máximo a la vez.',
    failed: 'Algo ha fallado en el servidor con esto. Lo enviado se conserva donde se escribió.',
    busy: 'Otra persona está escribiendo aquí ahora mismo. No se ha guardado nada; envíelo de nuevo.',
    unanswered: 'No se sabe si esto se ha guardado. Envíelo de nuevo: lo mismo se toma una sola vez.',
    'not-well': 'La base de datos no responde.',
    'disk-full':
      'El disco del servidor está lleno: no se ha guardado nada. Avise a la administración para que libere espacio. Lo escrito se conserva aquí y se envía de nuevo.',
  },
  /** what a schema says of a value */
  faults,
};
