import { engineVersion } from '../record';
import { decideSize } from '../sizing';
import { decideSignature } from '../checking';
import { decideSetting } from '../setting';
import { judgeDecision } from './decision';
import type { AnyEntry } from './entry';
import { foldCase } from './fold-case';
import { kinds, type BodyOf, type KindName } from './kinds';
import { beltContext, stopsMade, testContext, testLogbook } from './test-case';

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
  judgeDecision(folded(log), { kind, v: kinds[kind]?.v, body } as unknown as AnyEntry, today);
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
    narrower: ['knee-at-extension-stop'],
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
  // what is narrower than ordered is acknowledged with it
  const { narrower: _narrower, ...silent } = signed('fail', inputs);
  expect(faultsOf(judge(log, 'check.signed', silent))).toEqual(['body.narrower']);
  // and nobody signs, pass or fail, for a limb that is not safe
  log.write('check.recorded', { check: 'toes-warm-moving-felt', seen: false });
  expect(decideSignature(folded(log))).toBeUndefined();
  expect(JSON.stringify(judge(log, 'check.signed', signed('fail', inputs)))).toContain('is barred');
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

test('what is no decision is as it is', () =>
  expect(judge(ready(), 'shape.scar', {} as never)).toEqual({ outcome: 'as-computed' }));

describe('what a refusal says', () => {
  const messages = (change: object) => {
    const log = ready();
    const body = { ...decideSize(folded(log))!, ...change } as BodyOf<'size.chosen'>;
    const judged = judge(log, 'size.chosen', body);
    return judged.outcome === 'refused' ? judged.faults : judged.outcome;
  };
  test('of what it was made with', () => {
    expect(messages({ programme: 'f'.repeat(64) })).toEqual([
      expect.objectContaining({
        at: 'body.programme',
        message: 'is not the programme this case holds on to',
      }),
    ]);
    expect(messages({ engine: engineVersion + 1 })).toEqual([
      expect.objectContaining({
        at: 'body.engine',
        message: `is newer than this server computes with (${engineVersion})`,
      }),
    ]);
    expect(messages({ madeFrom: [elsewhere] })).toEqual([
      expect.objectContaining({
        at: 'body.madeFrom',
        message: 'names an entry that this case does not have',
      }),
    ]);
  });
  test('of a field that is not what the same entries give, with what they give', () => {
    expect(messages({ chart: 9 })).toEqual([
      expect.objectContaining({ at: 'body.chart', message: 'is not what the same entries give: 1' }),
    ]);
    expect(messages({ extension: 20 })).toEqual([
      expect.objectContaining({
        at: 'body.extension',
        message: 'is not what the same entries give: it is left out',
      }),
    ]);
  });
});

describe('a choice and what is computed now', () => {
  const judged = (change: object) => {
    const log = ready();
    const body = { ...decideSize(folded(log))!, ...change } as BodyOf<'size.chosen'>;
    return judge(log, 'size.chosen', body);
  };
  const whole = () => decideSize(folded(ready()))!;
  test('made by an older engine it is another’s result, not a false one', () =>
    expect(judged({ engine: engineVersion - 1, chart: 9 })).toMatchObject({ outcome: 'otherwise' }));
  test('made from fewer entries, or one of them twice, it is another’s result', () => {
    const { madeFrom } = whole();
    expect(judged({ madeFrom: madeFrom.slice(1), chart: 9 })).toMatchObject({ outcome: 'otherwise' });
    expect(judged({ madeFrom: [...madeFrom, madeFrom[0]!], chart: 9 })).toMatchObject({
      outcome: 'otherwise',
    });
    const log = ready();
    const other = log.order();
    const body = { ...decideSize(folded(log))!, chart: 9 };
    expect(
      judge(log, 'size.chosen', { ...body, madeFrom: [...body.madeFrom.slice(1), other] }),
    ).toMatchObject({ outcome: 'otherwise' });
  });
  test('the engine and what it was made from are no result: alike in everything else it is as computed', () => {
    expect(judged({ engine: engineVersion - 1 })).toEqual({ outcome: 'as-computed' });
    expect(judged({ madeFrom: whole().madeFrom.toReversed() })).toEqual({ outcome: 'as-computed' });
  });
  test('numbers are alike to a millionth of the larger of one and themselves; nothing else is nearly alike', () => {
    const { margin, probability } = whole();
    expect(margin).toBeGreaterThan(1);
    expect(judged({ margin: margin! * (1 + 5e-7) })).toEqual({ outcome: 'as-computed' });
    expect(judged({ margin: margin! * (1 + 2e-6) })).toMatchObject({ outcome: 'refused' });
    expect(judged({ probability: probability - 9e-7 })).toEqual({ outcome: 'as-computed' });
    expect(judged({ probability: probability - 2e-6 })).toMatchObject({ outcome: 'refused' });
    expect(judged({ margin: null })).toMatchObject({ outcome: 'refused' });
    expect(judged({ margin: String(margin) })).toMatchObject({ outcome: 'refused' });
    expect(judged({ rule: null })).toMatchObject({ outcome: 'refused' });
    expect(judged({ probability: undefined })).toMatchObject({ outcome: 'refused' });
  });
});

test('a choice from entries that are gone is kept, one from what never was enough is none', () => {
  const log = testLogbook();
  const body = { ...decideSize(folded(ready()))!, madeFrom: [] };
  const judged = judge(log, 'size.chosen', body);
  expect(judged).toMatchObject({ outcome: 'refused', faults: [{ at: 'kind' }] });
  const read = log.read('girth-above', 'right', 444);
  expect(judge(log, 'size.chosen', { ...body, madeFrom: read })).toMatchObject({ outcome: 'refused' });
  log.write('record.withdrawn', {}, { replaces: read[0]!, reason: 'slanted' });
  expect(judge(log, 'size.chosen', { ...body, madeFrom: read })).toEqual({
    outcome: 'otherwise',
    computed: null,
  });
});

test('a size of version 1 out of a late outbox is judged by what it says in today’s words', () => {
  const log = testLogbook(beltContext, 'midline');
  log.read('girth-waist', 'midline', 1098, 1102);
  const state = foldCase(log.entries, beltContext)!;
  const { sideExtension, rule, ...rest } = decideSize(state, undefined, {
    height: 'low',
    reason: 'ordered',
  })!;
  expect([sideExtension, rule]).toEqual([50, 'side-extension']);
  const late = { kind: 'size.chosen', v: 1, body: { ...rest, rule: 'extension', extension: 50 } };
  expect(judgeDecision(state, late as unknown as AnyEntry, today)).toEqual({ outcome: 'as-computed' });
});
