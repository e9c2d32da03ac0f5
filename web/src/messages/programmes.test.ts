import { endsOf } from '@estribo/core/anatomy';
import { kinds } from '@estribo/core/logbook';
import { findingRule, findings } from '@estribo/core/screening';
import { programmes } from '@estribo/core/programmes';
import { en } from './en';
import { checkWords, listName, stepWords } from './fitting';

const words = (group: keyof typeof en) => Object.keys(en[group]);

test.each(programmes.map((programme) => [programme.id, programme] as const))(
  '%s: everything it names has its wording',
  (id, programme) => {
    expect(words('programmes')).toContain(id);
    for (const finding of programme.findings)
      for (const group of ['findings', 'findingAdvice'] as const) expect(words(group)).toContain(finding);
    expect(words('regions')).toContain(programme.region);
    for (const step of programme.measuring) {
      for (const group of ['steps', 'stepTitles', 'stepWhy'] as const)
        expect(words(group)).toContain(step.id);
      if (step.kind === 'mark') expect(words('landmarkHow')).toContain(step.landmark);
      if (step.kind === 'motion' || step.kind === 'posture') expect(words('joints')).toContain(step.joint);
      if (step.kind === 'motion') for (const end of endsOf(step)) expect(words('motionEnd')).toContain(end);
      for (const field of ['from', 'to', 'at', 'landmark']) {
        const place = (step as unknown as Record<string, unknown>)[field];
        if (typeof place === 'string') expect(words('landmarks')).toContain(place);
      }
      // a caution is due where the hand moves a joint, and where a patient is moved to be measured
      const due =
        step.kind === 'motion' || (step.kind === 'stance' && /supine|in-line|upright/.test(step.id));
      if (due) expect(words('stepCaution')).toContain(step.id);
    }
    for (const axis of programme.axes)
      for (const group of ['axes', 'axisPlaces'] as const) expect(words(group)).toContain(axis);
    for (const { id, steps } of programme.sequences) {
      expect(listName(programme, id)).not.toBe(id);
      for (const step of steps) {
        const { name, hold } = stepWords(programme, step.id);
        expect([step.id, name, hold]).toEqual([step.id, expect.stringMatching(/^[A-Z]/), expect.any(String)]);
        expect(name).not.toBe(step.id);
      }
    }
    for (const check of programme.checks) {
      const { name, how = '', fix, minus, value, reference } = checkWords(programme, check.id);
      expect(name).not.toBe(check.id);
      // what fails says what to do, at some length; what is only seen says how it is looked at
      expect([check.id, fix.length]).toEqual([check.id, expect.any(Number)]);
      expect(fix.length).toBeGreaterThan(10);
      if (check.kind === 'seen' || check.kind === 'proximal-to') expect(how.length).toBeGreaterThan(5);
      if (check.kind === 'proximal-to') expect([value, reference]).not.toContain(undefined);
      if (minus !== undefined) expect(minus).toContain('{{amount}}');
    }
  },
);

test('every qualifying finding says what to do about it', () => {
  for (const finding of findings)
    if (findingRule(finding).severity === 'qualifies') expect(en.findingAdvice[finding]).not.toBe('');
});

test('every kind of entry has its word, for where it waits and could not be sent', () =>
  expect(
    words('kinds')
      .filter((word) => word !== 'person')
      .sort(),
  ).toEqual(Object.keys(kinds).sort()));
