import { decideSetting, decideSignature, decideSize } from './decide';
import { judgeDecision } from './decision';
import type { AnyEntry } from './entry';
import { engineVersion } from './engine';
import { foldCase } from './fold/fold-case';
import type { BodyOf, KindName } from './kinds';
import { stopsMade, testContext, testLogbook } from './test-case';

const today = '2026-11-24';
const folded = (log: ReturnType<typeof testLogbook>) => foldCase(log.entries, testContext)!;

/** A leg measured on both sides, ordered, nothing chosen yet. */
function ready() {
  const log = testLogbook();
  log.order();
  for (const side of ['right', 'left'] as const) {
    log.read('knee-posture', side, 31);
    log.write('measure.marked', { step: 'mid-kneecap', side });
    log.read('girth-above', side, 444, 446);
    log.read('girth-below', side, 347, 349);
  }
  return log;
}

const judge = <K extends KindName>(log: ReturnType<typeof testLogbook>, kind: K, body: BodyOf<K>) =>
  judgeDecision(folded(log), { kind, body } as unknown as AnyEntry, today);
const faultsOf = (judged: ReturnType<typeof judgeDecision>) =>
  judged.outcome === 'refused' ? judged.faults.map(({ at }) => at) : judged.outcome;

const elsewhere = '0192c3d4-0000-7000-8000-999999999999';

test('what the core decides from the entries there is as computed: size, another size, stops', () => {
  const log = ready();
  const state = folded(log);
  expect(judge(log, 'size.chosen', decideSize(state)!)).toEqual({ outcome: 'as-computed' });
  const other = decideSize(state, { size: 'L', reason: 'swelling comes back' })!;
  expect(judge(log, 'size.chosen', other)).toEqual({ outcome: 'as-computed' });
  const stops = decideSetting(state, 'hinge-stops', today, true)!;
  expect(judge(log, 'set.chosen', stops)).toEqual({ outcome: 'as-computed' });
  // what another processor's last digit makes of a probability is no other decision
  const chosen = decideSize(state)!;
  const near = { ...chosen, probability: chosen.probability + 1e-12 };
  expect(judge(log, 'size.chosen', near)).toEqual({ outcome: 'as-computed' });
});

test.each([
  ['another size without a reason', { size: 'L' }, 'body.size'],
  ['a size the chart does not have', { size: 'XXL', reason: 'there is one' }, 'body.size'],
  ['a height the model does not have', { height: 'tall', heightReason: 'long trunk' }, 'body.height'],
  ['another probability', { probability: 0.5 }, 'body.probability'],
  ['another margin', { margin: 40 }, 'body.margin'],
  ['another rule', { rule: 'between-larger' }, 'body.rule'],
  ['another chart', { chart: 9 }, 'body.chart'],
  ['another programme', { programme: 'f'.repeat(64) }, 'body.programme'],
  ['a newer engine', { engine: engineVersion + 1 }, 'body.engine'],
  ['an entry of another case', { madeFrom: [elsewhere] }, 'body.madeFrom'],
] as const)('a size with %s is refused at its field', (_, change, at) => {
  const log = ready();
  const body = { ...decideSize(folded(log))!, ...change } as BodyOf<'size.chosen'>;
  expect(faultsOf(judge(log, 'size.chosen', body))).toContain(at);
});

test.each([
  ['another order', { ordered: { extension: 0, flexion: 120 } }, 'body.ordered'],
  ['another loss', { lost: { extension: 0, flexion: 0 } }, 'body.lost'],
  ['another phase', { phase: 3 }, 'body.phase'],
  [
    'a piece the hinge does not have',
    stopsMade({ extension: 15, flexion: 90 }, { extension: 10, flexion: 90 }),
    'body.values[0].value',
  ],
  [
    'no flexion stop in one hinge',
    stopsMade({ extension: 10, flexion: null }, { extension: 10, flexion: 90 }),
    'body.values',
  ],
  ['crossed stops', stopsMade({ extension: 20, flexion: 10 }), 'body.values'],
  [
    'a pair that differs',
    stopsMade({ extension: 10, flexion: 90 }, { extension: 20, flexion: 90 }),
    'body.values',
  ],
  ['a setting this brace does not have', { setting: 'front-panel-in' }, 'body.setting'],
  ['a loss not acknowledged', { acknowledged: false }, 'body.acknowledged'],
] as const)('stops with %s are refused at their field', (_, change, at) => {
  const log = ready();
  const body = {
    ...decideSetting(folded(log), 'hinge-stops', today, true)!,
    ...change,
  } as BodyOf<'set.chosen'>;
  // the piece of 10 degrees loses 5 of the 5 ordered
  expect(decideSetting(folded(log), 'hinge-stops', today, true)!.lost).toEqual({ extension: 5, flexion: 0 });
  expect(faultsOf(judge(log, 'set.chosen', body))).toContain(at);
});

test('a signature under open checks is refused and names them; one that says pass where one failed, too', () => {
  const log = ready();
  const signed = (result: 'pass' | 'fail', madeFrom: string[]) => ({
    result,
    madeFrom,
    programme: folded(log).programmePin.hash,
    engine: engineVersion,
  });
  const open = judge(log, 'check.signed', signed('pass', []));
  expect(open).toMatchObject({ outcome: 'refused', faults: [{ at: 'kind' }] });
  expect(JSON.stringify(open)).toContain('hinge-height');
  const checks = testContext.programme.checks;
  for (const check of checks)
    log.write('check.recorded', {
      check: check.id,
      ...(check.kind === 'seen' ? { seen: true } : { value: 400, reference: 0 }),
    });
  const state = folded(log);
  expect(decideSignature(state)!.result).toBe('fail');
  const inputs = decideSignature(state)!.madeFrom;
  expect(faultsOf(judge(log, 'check.signed', signed('pass', inputs)))).toEqual(['body.result']);
  expect(judge(log, 'check.signed', { ...signed('fail', inputs), note: 'hinge high' })).toEqual({
    outcome: 'as-computed',
  });
});

test('a choice from other entries that comes out otherwise is kept beside what is computed, not in force', () => {
  const log = ready();
  const before = decideSize(folded(log))!;
  const first = log.write('size.chosen', before);
  // meanwhile somebody withdrew a reading and took two others: the leg is thicker
  for (const taken of folded(log).sizing.inputs.slice(-2))
    log.write('record.withdrawn', {}, { replaces: taken, reason: 'tape was slanted' });
  log.read('girth-above', 'right', 470, 470, 470, 470);
  log.read('girth-below', 'right', 370, 370, 370);
  const judged = judge(log, 'size.chosen', { ...before, reason: 'feels right', size: 'S', computed: 'M' });
  expect(judged).toMatchObject({ outcome: 'otherwise', computed: { size: 'S' } });
  const late = log.write('size.chosen', before, { otherwise: decideSize(folded(log))! });
  const state = folded(log);
  expect(state.lines.find(({ entry }) => entry.id === late)).toMatchObject({
    status: 'not-in-force',
    entry: { body: { size: before.size }, otherwise: expect.objectContaining({ rule: expect.any(String) }) },
  });
  expect(state.sizing.chosen?.entry).toBe(first);
});

test('when nothing can be decided any more, a choice made before is kept with nothing beside it', () => {
  const log = ready();
  const before = decideSize(folded(log))!;
  for (const input of before.madeFrom)
    log.write('record.withdrawn', {}, { replaces: input, reason: 'the other leg' });
  expect(judge(log, 'size.chosen', before)).toEqual({ outcome: 'otherwise', computed: null });
  // one made from nothing is no choice at all
  expect(faultsOf(judge(log, 'size.chosen', { ...before, madeFrom: [] }))).toEqual(['kind']);
});

test('a correction that is not in force replaces nothing', () => {
  const log = ready();
  const chosen = log.write('size.chosen', decideSize(folded(log))!);
  log.write('size.chosen', decideSize(folded(log))!, {
    replaces: chosen,
    reason: 'another look',
    otherwise: null,
  });
  expect(folded(log).sizing.chosen?.entry).toBe(chosen);
  expect(folded(log).lines.find(({ entry }) => entry.id === chosen)?.status).toBe('live');
});
