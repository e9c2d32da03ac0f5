import type { SameShape } from '../../messages/same-shape';
import type { casesMessages as casesMessagesEn } from './en';

/** The same in Spanish. */
export const casesMessages: SameShape<typeof casesMessagesEn> = {
  cases: {
    looking: 'Buscando lo que ya se sabe de hoy…',
    both: 'ambos',
    openBoth: 'Abrir los dos casos',
    takeOver: 'Tomar lo leído y visto hoy en el caso de {{brace}}',
    takeOverHow:
      'Cada dato dice de dónde viene y qué antigüedad tiene; lo que esta ortesis mide de otro modo se lee de nuevo.',
    labelled: 'etiqueta: {{label}}',
    closed: 'cerrado',
    new: 'Caso nuevo',
    find: 'Buscar una persona o una ortesis',
    findExample: 'nombre, número, fecha de nacimiento, modelo, fabricante, tipo, serie o lote',
    none: 'Aún no hay casos.',
    noneFound: 'No se encuentra nada con «{{find}}».',
    blocked: 'Bloqueado',
    who: '¿Para quién es?',
    born: 'nac. {{born}}',
    another: 'Otra persona',
    region: 'Dónde',
    side: 'Lado',
    noModels: 'En el catálogo aún no hay modelos para esta parte del cuerpo.',
    open: 'Abrir el caso',
    needsAll: 'Elija la persona, el lado y la ortesis.',
    findPerson: 'Buscar la persona por nombre, número o fecha de nacimiento',
    people: 'Personas encontradas',
    morePeople: 'Hay más; escriba más del nombre.',
    noPerson: 'Ningún nombre empieza por «{{find}}».',
    newPerson: 'Alguien nuevo',
    given: 'Nombre',
    family: 'Apellidos',
    bornLabel: 'Nacimiento',
    addPerson: 'Añadir y elegir',
    personNeeds: 'Escriba nombre, apellidos y el día de nacimiento.',
    bornLater: 'El día de nacimiento está en el futuro.',
  },
};
