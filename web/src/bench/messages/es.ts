import type { SameShape } from '../../messages/same-shape';
import type { benchMessages as benchMessagesEn } from './en';

/** The same in Spanish. */
export const benchMessages: SameShape<typeof benchMessagesEn> = {
  bench: {
    legendVisits:
      'Una hebilla es una visita: F prueba, R control, V otra cosa. Arrástrela a otro día, o use las flechas.',
    visit: 'Visita',
    region: 'Parte del cuerpo',
    allRegions: 'Todas',
    whose: 'Quién lo hace',
    everybody: 'Todos',
    mine: 'Los míos',
    filtered: 'No hay nada de eso en el banco.',
    visitFor: 'Visita: {{purpose}}',
    forRole: 'Para: {{role}}',
    atClock: ', {{time}}',
    again: 'Mirar otra vez antes de las {{clock}}: {{check}}',
    title: '{{weekday}}: {{due}}, {{late}}',
    due_zero: 'nada que hacer',
    due_one: 'uno por hacer',
    due_other: '{{count}} por hacer',
    late_zero: 'ninguno tarde',
    late_one: 'uno tarde',
    late_other: '{{count}} tarde',
    legend:
      'Una hebilla es un día de actuar: C llamada, F prueba, L mirar otra vez, S topes, W paso de uso, R control',
    call: 'Llamar: {{what}}',
    ribbon: 'Lo que toca, por días',
    days: 'Días',
    empty: 'Nada en el banco. Abra un caso para empezar.',
    nothingPlanned: 'Nada previsto; en {{stage}}',
    blocked: 'Bloqueado: {{finding}}',
    blockedUnnamed: 'Bloqueado: consulte al ortopeda',
    takeBack: 'Retirar la visita',
    fitting: 'Prueba',
    stops: 'Topes a {{window}}',
    scheduled: 'Un ajuste cambia según su plan',
    wear: 'Uso a {{minutes}}, antes la piel',
    review: 'Control',
    tomorrow: 'mañana',
    inDays_one: 'en {{count}} día',
    inDays_other: 'en {{count}} días',
    daysLate_one: 'un día tarde',
    daysLate_other: '{{count}} días tarde',
  },
};
