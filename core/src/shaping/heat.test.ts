import { liveRecord, type Recorded } from '../record';
import { foldHeat, heatClock } from './heat';
import { heatRun, heatRuns } from './heat-runs';

const start = Date.parse('2026-03-02T09:00:00.000Z');
const at = (seconds: number) => new Date(start + seconds * 1000).toISOString();

/** Events of one run, each at its second. */
function run(id: string, ...events: (readonly [seconds: number, body: object])[]) {
  const entries = [[0, { what: 'begun', feels: true, room: 22 }] as const, ...events].map(
    ([seconds, body], i) =>
      ({
        id: `h${i}`,
        kind: 'shape.heat',
        seq: i + 1,
        observedAt: at(seconds),
        body: { operation: 'mould', run: id, part: 'cuff', ...(i > 0 ? { of: 'h0' } : {}), ...body },
      }) as unknown as Recorded,
  );
  return foldHeat(liveRecord({ lines: [], live: entries, heldBy: new Map() }, 'Europe/Madrid'))[0]!;
}
const stage = (id: string) => ({ what: 'stage', stage: id });

// facts.csv, K6: 2 min from the pack's start to moulding, off at 3 to 4 min; gun 10 to 20 s
test('the pack’s clock counts from its start through all its stages', () => {
  const moulding = run('pack', [20, stage('warm')], [140, stage('mould')]);
  expect(heatClock(moulding, start + 150_000)).toEqual({ ran: 130, toLeast: 50, toMost: 110 });
  const warm = run('pack', [20, stage('warm')]);
  expect(heatClock(warm, start + 80_000)).toEqual({ ran: 60, toLeast: 60, toMost: 60 });
});

test('the gun’s stage counts from itself', () =>
  expect(heatClock(run('gun', [60, stage('heat-with-gun')]), start + 72_000)).toEqual({
    ran: 12,
    toLeast: -2,
    toMost: 8,
  }));

test('a page that slept through it all finds the clock where it is', () => {
  const slept = run('pack', [0, stage('warm')]);
  expect(heatClock(slept, start + 3600_000).toLeast).toBe(120 - 3600);
});

test('a pause stands out of the clock, also of one that began before this stage; a stage that is begun ends it', () => {
  const paused = run('pack', [0, stage('warm')], [30, { what: 'paused' }]);
  expect(heatClock(paused, start + 500_000).ran).toBe(30);
  const resumed = run('pack', [0, stage('warm')], [30, { what: 'paused' }], [50, { what: 'resumed' }]);
  expect(heatClock(resumed, start + 60_000).ran).toBe(40);
  const further = run(
    'pack',
    [0, stage('warm')],
    [30, { what: 'paused' }],
    [50, { what: 'resumed' }],
    [140, stage('mould')],
  );
  expect(heatClock(further, start + 150_000).ran).toBe(130);
  expect(
    run('pack', [0, stage('warm')], [30, { what: 'paused' }], [60, stage('mould')]).pausedSince,
  ).toBeUndefined();
});

test('off the body the heat ends with the stage after it; what went wrong ends the run with its reason', () => {
  const gun = run('gun', [60, stage('heat-with-gun')], [75, stage('cool-to-contact')]);
  expect(gun.heatEnded).toBe(at(75));
  const wrong = run(
    'gun',
    [60, stage('heat-with-gun')],
    [65, { what: 'wrong', because: 'pad scorched' }],
    [70, stage('on-and-form')],
  );
  expect(wrong.ended).toEqual({ at: at(65), wrong: 'pad scorched' });
  expect(wrong.stage.id).toBe('heat-with-gun');
});

test('its readings are kept with their times, and the third bears the law out', () => {
  const read = (seconds: number) =>
    [seconds, { what: 'read', celsius: 22 + 58 * Math.exp(-(seconds - 80) / 240) }] as const;
  const cooling = run(
    'gun',
    [60, stage('heat-with-gun')],
    [75, stage('cool-to-contact')],
    read(80),
    read(120),
    read(160),
  );
  expect(cooling.cooling.known && cooling.cooling.tau).toBeCloseTo(240, 3);
});

test('every run starts its heat once, ends with what is cold, and warns where the hand is', () => {
  for (const { stages, heated } of heatRuns) {
    expect(stages.filter(({ starts }) => starts)).toHaveLength(1);
    expect(stages.at(-1)!.id).toBe('hold-until-cold');
    expect(stages.every(({ cautions }) => cautions.length > 0)).toBe(true);
    // what was heated off the body comes onto it only after the thermometer or the material's own time
    const onBody = stages.findIndex(({ id }) => id === 'on-and-form' || id === 'form-on-body');
    if (heated === 'off-body' && onBody > 0) expect(stages[onBody - 1]!.contact).toBe(true);
  }
  expect(heatRun('bonfire')).toBeUndefined();
});
