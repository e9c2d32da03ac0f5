import ICAL from 'ical.js';
import { makeRight, wholeCase } from '../findings/test-whole-case';
import { limitsOf } from '../order';
import { calendarDays, calendarFile } from './index';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const later = { observedAt: '2026-11-24T12:00:00.000Z' };
const three = [0, 14, 28].map((fromDay, i) => ({
  fromDay,
  limits: limitsOf(knee, { extension: 0, flexion: 30 + 30 * i }),
}));

/** Read by another library than the one that writes: ical.js. */
const read = (made: ReturnType<typeof wholeCase>) => {
  const text = calendarFile(
    calendarDays(made.state()).map(({ id, day, due }) => ({
      id,
      day,
      summary: 'x',
      ...(due ? {} : { cancelled: true as const }),
    })),
    { name: 'Ribanova', sequence: made.state().seq, written: '2026-11-24T12:00:00Z' },
  );
  return Object.fromEntries(
    new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent').map((component) => {
      const event = new ICAL.Event(component);
      return [
        event.uid.replace(/@.*/, ''),
        `${String(event.startDate)} ${String(component.getFirstPropertyValue('status') ?? 'due')}`,
      ];
    }),
  );
};

test('a visit that is moved keeps its id; one that is called off is cancelled', () => {
  const made = wholeCase('knee-ligament-frame', { leave: ['visit'] });
  const visit = made.log.write('visit.planned', { day: '2026-12-01', purpose: 'review' }, later);
  const before = read(made);
  made.log.write(
    'visit.planned',
    { day: '2026-12-08', purpose: 'review' },
    { ...later, replaces: visit, reason: 'the patient asked' },
  );
  const after = read(made);
  expect(Object.keys(after)).toEqual(Object.keys(before));
  expect(Object.values(after)).toEqual(['2026-12-08 due']);
  made.log.write(
    'record.withdrawn',
    {},
    { ...later, replaces: made.log.entries.at(-1)!.id, reason: 'called off' },
  );
  made.log.write('record.withdrawn', {}, { ...later, replaces: visit, reason: 'called off' });
  expect(Object.values(read(made))).toEqual(['2026-12-01 CANCELLED']);
});

test('phases that a new order has no more are cancelled by the ids they had', () => {
  const made = wholeCase('knee-ligament-frame', { leave: ['visit'], order: { phases: three } });
  const before = read(made);
  expect(Object.values(before)).toEqual(['2026-12-08 due', '2026-12-22 due']);
  const order = made.state().order!.order;
  made.log.order({ ...order, phases: [three[0]!, { ...three[1]!, fromDay: 21 }] }, later);
  for (const one of made.state().setting.made) makeRight(made.log, made.state, one);
  const after = read(made);
  expect(Object.keys(after)).toEqual(Object.keys(before));
  expect(Object.values(after)).toEqual(['2026-12-15 due', '2026-12-22 CANCELLED']);
});
