import { decideBends } from '../shaping';
import { foreignFaults, isOutsideModel } from './belongs';
import { judgeDecision } from './decision';
import type { AnyEntry } from './entry';
import { foldCase } from './fold-case';
import { shapedContext, testLogbook } from './test-case';

const part = 'upright-lateral';
const points = [-160, -100, -45, 0, 45, 100, 160].map((at) => ({
  at,
  out: at > 45 ? (at - 45) * 0.1 : at < -45 ? (at + 45) * 0.05 : 0,
}));
const bends = [
  { at: 70, turn: 6 },
  { at: -80, turn: -3 },
];

function contoured() {
  const log = testLogbook(shapedContext);
  log.looked();
  log.order();
  const contour = log.write('shape.contour', {
    part,
    source: 'straight-edge',
    points,
    liner: 6,
    pad: 6,
    gap: 0,
  });
  return { log, contour, state: () => foldCase(log.entries, shapedContext)! };
}
/** A plan as it would be sent, not in the record yet. */
const sent = (log: ReturnType<typeof testLogbook>, body: object): AnyEntry => {
  const probe = testLogbook(shapedContext);
  probe.write('shape.planned', body as never);
  return {
    ...probe.entries.at(-1)!,
    id: `0192c3d4-0000-7000-8000-${String(900 + log.entries.length).padStart(12, '0')}`,
  };
};

test('a plan within what its maker allows is taken; its gap is the core’s to say', () => {
  const { log, state } = contoured();
  const plan = decideBends(state(), part, 'contour', bends)!;
  expect(judgeDecision(state(), sent(log, plan), '2026-11-24')).toEqual({ outcome: 'as-computed' });
  expect(judgeDecision(state(), sent(log, { ...plan, gap: plan.gap - 1 }), '2026-11-24')).toMatchObject({
    outcome: 'refused',
    faults: [{ at: 'body.gap' }],
  });
  expect(
    judgeDecision(state(), sent(log, { ...plan, bends: [{ at: 20, turn: 5 }] }), '2026-11-24'),
  ).toMatchObject({ outcome: 'refused', faults: [{ at: 'body.bends.0' }] });
});

test('a plan made before a pass that came in meanwhile comes out otherwise, and is kept beside it', () => {
  const { log, state } = contoured();
  const plan = decideBends(state(), part, 'contour', [{ at: 70, turn: 3 }])!;
  log.write('work.done', {
    operation: 'bend-uprights',
    part,
    at: 120,
    direction: 'away-from-limb',
    amount: 2,
    hand: 16,
  });
  expect(judgeDecision(state(), sent(log, plan), '2026-11-24')).toMatchObject({ outcome: 'otherwise' });
});

test('a plan hangs on its contour: one that is corrected, withdrawn or taken anew leaves it stale', () => {
  for (const change of ['corrected', 'withdrawn', 'anew'] as const) {
    const { log, contour, state } = contoured();
    log.write('shape.planned', decideBends(state(), part, 'contour', bends)!);
    const plan = () => state().shaping.bars.find((bar) => bar.part.id === part)!.plan;
    expect(plan()!.stale).toBe(false);
    const body = { part, source: 'straight-edge', points, liner: 3, pad: 6, gap: 0 } as const;
    if (change === 'withdrawn')
      log.write('record.withdrawn', {}, { replaces: contour, reason: 'wrong side' } as never);
    else
      log.write(
        'shape.contour',
        body,
        (change === 'corrected' ? { replaces: contour, reason: 'liner' } : {}) as never,
      );
    expect(plan()!.stale).toBe(true);
  }
});

test('a bend that is withdrawn never was: the bar is as before it', () => {
  const { log, state } = contoured();
  const bar = () => state().shaping.bars.find((one) => one.part.id === part)!;
  const before = bar().shape;
  const bend = log.write('work.done', {
    operation: 'bend-uprights',
    part,
    at: 70,
    direction: 'away-from-limb',
    amount: 5,
    hand: 16,
  });
  expect(bar().shape).not.toEqual(before);
  log.write('record.withdrawn', {}, { replaces: bend, reason: 'other brace' } as never);
  expect(bar().shape).toEqual(before);
  expect(bar().left).toBe(40);
});

const frame = () => foldCase(testLogbook(shapedContext).entries, shapedContext)!;
const entryOf = (kind: string, body: object) => ({ kind, body }) as unknown as AnyEntry;
const heat = { operation: 'mould-shin', run: 'pack', part: 'shin-shell' };

test.each([
  [
    'a contour of a strap',
    'shape.contour',
    { part: 'strap-1', source: 'stations', points, liner: 0, pad: 0, gap: 0 },
    'body.part',
  ],
  ['gaps of nothing', 'shape.bar-read', { part: 'nothing', what: 'gaps', points }, 'body.part'],
  [
    'a run that this brace does not have',
    'shape.heat',
    { ...heat, run: 'water-bath', what: 'begun' },
    'body.run',
  ],
  ['heat on a strap', 'shape.heat', { ...heat, part: 'strap-1', what: 'begun' }, 'body.part'],
  ['heat by no work', 'shape.heat', { ...heat, operation: 'trim-shell', what: 'begun' }, 'body.run'],
  [
    'a stage of another run',
    'shape.heat',
    { ...heat, what: 'stage', of: 'x', stage: 'in-the-bath' },
    'body.stage',
  ],
  ['a stage of no run', 'shape.heat', { ...heat, what: 'stage', stage: 'warm' }, 'body.of'],
  ['a beginning of a beginning', 'shape.heat', { ...heat, what: 'begun', of: 'x' }, 'body.of'],
  ['a mark of no part', 'shape.marked', { part: 'nothing' }, 'body.part'],
  ['a plan of a shell', 'shape.planned', { part: 'shin-shell', purpose: 'contour', bends: [] }, 'body.part'],
] as const)('%s is none of this brace', (_, kind, body, at) => {
  const faults =
    kind === 'shape.planned'
      ? judgeDecision(
          frame(),
          sent(testLogbook(shapedContext), {
            ...body,
            gap: 0,
            madeFrom: [],
            programme: frame().programmePin.hash,
            engine: 1,
          }),
          '2026-11-24',
        )
      : { faults: foreignFaults(frame(), entryOf(kind, body)) };
  expect(faults).toMatchObject({ faults: [expect.objectContaining({ at })] });
});

test.each([
  ['felt', { ...heat, what: 'begun', feels: true }, false],
  ['impaired', { ...heat, what: 'begun', feels: false }, true],
  ['not asked', { ...heat, what: 'begun' }, true],
  ['off the body', { ...heat, run: 'gun', what: 'begun' }, false],
  ['a later stage', { ...heat, what: 'stage', stage: 'warm', of: 'x' }, false],
] as const)('heat on a body whose sensation is %s: marked %s', (_, body, marked) =>
  expect(isOutsideModel(frame(), entryOf('shape.heat', body))).toBe(marked),
);
