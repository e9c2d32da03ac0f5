import { limitsOf } from '../order';
import type { Side } from '../anatomy';
import type { BraceModel } from '../programmes';
import { kneePad, kneeStrap, pinOf, programmes } from '../programmes';
import { askedFindings } from '../screening';
import { valuesOfStops, type HingeStops } from '../setting';
import type { AnyRecordedEntry, RecordedEntry } from './entry';
import type { FoldContext } from './fold-case';
import type { CaseState } from './state';
import { kinds, type BodyOf, type KindName } from './kinds';

const knee = { joint: 'knee', plane: 'sagittal' } as const;

/** A model for tests of the fold: round numbers, nothing of a real maker. */
export const testModel: BraceModel = {
  id: 'test-frame',
  version: 1,
  name: 'Test frame',
  maker: 'nobody',
  programme: 'knee-ligament-frame',
  invented: true,
  distances: { 'girth-above': 150, 'girth-below': -150 },
  chart: {
    version: 1,
    sizes: ['S', 'M', 'L'],
    axes: [
      {
        reading: 'girth-above',
        resolution: 0,
        bands: [
          { size: 'S', from: 400, to: 430 },
          { size: 'M', from: 430, to: 460 },
          { size: 'L', from: 460, to: 490 },
        ],
      },
      {
        reading: 'girth-below',
        resolution: 0,
        bands: [
          { size: 'S', from: 310, to: 335 },
          { size: 'M', from: 335, to: 360 },
          { size: 'L', from: 360, to: 385 },
        ],
      },
    ],
    between: 'larger',
    disagree: 'larger',
  },
  hinge: { extension: [0, 10, 20], flexion: [60, 90, 120] },
  frame: { bendable: true, hingeZone: 45, reach: { proximal: 185, distal: 180 }, increment: 5, total: 15 },
  parts: [
    kneePad('thigh-front', 120, 175, 'front'),
    kneePad('shin-strap-4', -165, -115, 'front', true),
    ...[1, 2, 3, 4, 5, 6].map((strap) => kneeStrap(strap, 100 - strap * 30, 'back')),
  ],
  tolerances: { 'hinge-height': { from: -5, to: 5 }, 'hinge-behind-midline': { from: 2, to: 12 } },
  wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 120 },
};

const programme = programmes.find(({ id }) => id === 'knee-ligament-frame');

export const testContext: FoldContext = { programme: programme!, model: testModel, zone: 'Europe/Madrid' };

/** A belt for tests: one girth, low or tall, marks on both ends, extensions. */
const testBelt: BraceModel = {
  id: 'test-belt',
  version: 1,
  name: 'Test belt',
  maker: 'nobody',
  programme: 'spine-belt',
  invented: true,
  distances: { 'girth-waist-above': 80, 'girth-waist-below': -80 },
  chart: {
    version: 1,
    sizes: ['1', '2'],
    axes: [
      {
        reading: 'girth-waist',
        resolution: 0,
        bands: [
          { size: '1', from: 700, to: 850 },
          { size: '2', from: 850, to: 1000 },
        ],
      },
    ],
    between: 'larger',
    disagree: 'primary',
    heights: [
      { height: 'low', reading: 'l1-to-l5', from: 100, to: 190 },
      { height: 'tall', reading: 't9-to-sacrococcygeal', from: 260, to: 400 },
    ],
    belt: { overlap: 120, backPanel: 240, marks: { first: 180, spacing: 20, count: 24 } },
    sideExtension: { upTo: 1200 },
  },
  parts: [],
  tolerances: {},
  wear: { firstDay: 30, grow: 30, everyDays: 1, ceiling: 240 },
};

export const beltContext: FoldContext = {
  programme: programmes.find(({ id }) => id === 'spine-belt')!,
  model: testBelt,
  zone: 'Europe/Madrid',
};

/** Any shipped family with a model made of what the test gives. */
export const contextOf = (
  programme: string,
  chart: Omit<BraceModel['chart'], 'version'>,
  more: Partial<BraceModel> = {},
): FoldContext => ({
  programme: programmes.find(({ id }) => id === programme)!,
  model: {
    ...testBelt,
    id: 'test-model',
    programme,
    distances: {},
    chart: { version: 1, ...chart },
    ...more,
  },
  zone: 'Europe/Madrid',
});

/** Numbers to six digits: what a finer quadrature changes is no change of the record. */
const rounded = <T>(value: T): T =>
  JSON.parse(
    JSON.stringify(value, (_, inner: unknown) =>
      typeof inner === 'number' ? Math.round(inner * 1e6) / 1e6 : inner,
    ),
  ) as T;

/** A match without what later versions say beside it. */
const frozenMatch = (match: CaseState['sizing']['match']) => {
  if (match.outcome === 'incomplete') return match;
  const { gaps: _gaps, overruled: _overruled, ...frozen } = match;
  return frozen;
};

/** The height as it was told when the length chose it: now the length only checks it. */
const frozenHeight = (height: CaseState['sizing']['height']) =>
  height?.read && { by: 'reading', ...height.read };

/** What the frozen belt is compared by. */
export const foldedBelt = (state: CaseState) =>
  rounded({
    stages: Object.fromEntries(Object.entries(state.stages).map(([stage, { status }]) => [stage, status])),
    readings: state.sizing.readings,
    match: frozenMatch(state.sizing.match),
    height: frozenHeight(state.sizing.height),
    chosen: state.sizing.chosen?.decided,
    substitutes: state.measuring.states.flatMap(({ step, substitute }) =>
      substitute ? [[step.id, substitute]] : [],
    ),
  });

/** A look as it was told when a sign was there or not, and weakness and numbness were one. */
const frozenLook = ({ status, unanswered, blocking, overridden, qualifying }: CaseState['screening']) => ({
  status,
  unanswered,
  blocking: blocking.map(({ finding, is, ...more }) => ({
    ...more,
    finding: frozenFinding(finding),
    present: is === 'present',
  })),
  overridden,
  qualifying,
});
const frozenFinding = (name: string) => (name === 'new-weakness' ? 'new-weakness-or-numbness' : name);

/** What the frozen entries of version 3 are compared by. */
export const foldedNewly = ({ screening, limbs, calls, measuring, sizing, stages }: CaseState) =>
  rounded({
    stages: Object.fromEntries(Object.entries(stages).map(([stage, { status }]) => [stage, status])),
    screening: frozenLook(screening),
    limbs,
    // an emergency was a physician's as well
    calls: calls.map((call) => ({
      ...call,
      about: frozenFinding(call.about),
      whom: call.whom === 'emergency' ? 'physician-now' : call.whom,
    })),
    stances: measuring.states.flatMap(({ stance }) => stance ?? []),
    height: sizing.height,
  });

/** What the frozen entries of version 11 are compared by. */
export const foldedKept = ({ keeping, visits, lines }: CaseState) => ({
  keeping,
  visits,
  takenOver: lines.flatMap(({ entry }) => entry.from ?? []),
});

/** The stops of both hinges as a setting has them. */
export const stopsMade = (medial: HingeStops, lateral: HingeStops = medial) => ({
  setting: 'hinge-stops',
  values: Object.entries(valuesOfStops({ medial, lateral })).map(([place, value]) => ({ place, value })),
});

const caseId = '0192c3d4-0000-7000-8000-00000000c0de';
export const userId = '0192c3d4-0000-7000-8000-0000000000aa';

/** A logbook written by hand: each call adds an entry with the next seq. */
export function testLogbook(context: FoldContext = testContext, braced: Side = 'right') {
  const entries: AnyRecordedEntry[] = [];
  const write = <K extends KindName>(
    kind: K,
    body: BodyOf<K>,
    more: Partial<RecordedEntry<K>> = {},
  ): string => {
    const seq = entries.length + 1;
    const id = `0192c3d4-0000-7000-8000-${String(seq).padStart(12, '0')}`;
    const observedAt = '2026-11-24T09:30:00.000Z';
    entries.push({
      id,
      case: caseId,
      stage: kinds[kind].stages[0]!,
      kind,
      v: kinds[kind].v,
      observedAt,
      zone: 'Europe/Madrid',
      by: userId,
      body,
      seq,
      receivedAt: observedAt,
      ...more,
    } as AnyRecordedEntry);
    return id;
  };
  write('case.opened', {
    person: userId,
    side: braced,
    programme: pinOf(context.programme),
    model: pinOf(context.model),
  });
  return {
    entries,
    write,
    read: (step: string, side: Side, ...values: number[]) =>
      values.map((value) =>
        write('measure.read', {
          step,
          side,
          value,
          instrument: step === 'knee-posture' ? 'goniometer' : 'tape',
        }),
      ),
    order: (change: Partial<BodyOf<'order.given'>> = {}, more: Partial<RecordedEntry<'order.given'>> = {}) =>
      write(
        'order.given',
        {
          diagnosis: 'Ligament reconstruction',
          prescriber: 'Dr Elva Nogueira',
          side: 'right',
          dayZero: '2026-11-07',
          phases: [
            { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
            { fromDay: 14, limits: limitsOf(knee, { extension: 5, flexion: 90 }) },
            { fromDay: 28, limits: limitsOf(knee, { extension: 7, flexion: 95 }) },
            { fromDay: 42, limits: limitsOf(knee, { extension: 0, flexion: 120 }) },
          ],
          protective: true,
          wearing: 'day and night',
          trouble: 'keep-on',
          ...change,
        },
        more,
      ),
    /** what is in the hinges: alike, or the lateral one otherwise */
    stops: (
      medial: HingeStops,
      { lateral = medial, of, ...more }: { lateral?: HingeStops; of?: string; observedAt?: string } = {},
    ) => write('set.made', { ...stopsMade(medial, lateral), moved: true, ...(of ? { of } : {}) }, more),
    looked: (...present: BodyOf<'screen.looked'>['answers'][number]['finding'][]) =>
      write('screen.looked', {
        answers: askedFindings(context.programme).map((finding) => ({
          finding,
          is: present.includes(finding) ? ('present' as const) : ('absent' as const),
        })),
      }),
  };
}

/** What version 4 brought: settings beside stops, and which of several lists it is put on by. */
export const foldedLists = ({ setting, strapping, stages }: CaseState) => ({
  settings: setting.made.map(({ setting: { id }, made, judged }) => ({
    id,
    values: made?.values ?? null,
    fitted: made?.fitted ?? null,
    judged,
  })),
  list: strapping.list?.id,
  now: strapping.now?.id,
  done: strapping.done,
  set: stages.set.status,
  strap: stages.strap.status,
});

const dial = { kind: 'dial' as const, extension: [-10, 0, 10], flexion: [30, 60, 90], lock: [0, 15, 30] };

/** A post-operative brace for tests: a dial with a lock. */
export const dialContext: FoldContext = contextOf(
  'knee-postop',
  { sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' },
  { hinge: dial },
);

/** What version 5 brought: orders by joint and end, locks, other versions of what a case holds on to. */
export const foldedOrders = ({ order, setting, programmePin, checking, stages }: CaseState) => ({
  order: order?.order,
  programme: programmePin.version,
  // stops stood apart from what is set then
  settings: setting.made
    .filter(({ setting: { kind } }) => kind !== 'stops')
    .map(({ setting: { id }, made, judged }) => ({ id, values: made?.values ?? null, judged })),
  stops: setting.fitted?.medial,
  look: setting.look.map(({ what }) => what),
  notReached: checking.checks.filter(({ judged }) => judged.state === 'not-reached').length,
  set: stages.set.status,
});

/** What version 6 brought: stops among what is set, choices of any setting, work on the brace, lists with checks in them. */
export const foldedWork = ({ setting, shaping, strapping, stages }: CaseState) => ({
  settings: setting.made.map(({ setting: { id }, chosen, made, judged, flags }) => ({
    id,
    chosen: chosen ? [chosen.staleBecause.length, chosen.wouldDiffer] : null,
    values: made?.values ?? null,
    judged,
    flags,
  })),
  stops: setting.fitted?.medial,
  look: setting.look.map(({ what }) => what),
  work: shaping.work.map(({ operation: { id }, done }) => ({
    id,
    done: done.map(({ entry: _entry, ...one }) => one),
  })),
  now: strapping.now?.id,
  set: stages.set.status,
  shape: stages.shape.status,
});

/** What version 7 brought: side extensions under their own name, what a patient changed alone, reviews as a family follows them. */
export const foldedReviews = ({ sizing, setting, reviewing, wearing, stages }: CaseState) =>
  rounded({
    chosen: sizing.chosen?.decided,
    settings: setting.made.map(({ setting: { id }, made, flags }) => ({
      id,
      values: made?.values ?? null,
      flags,
    })),
    first: reviewing.first,
    visits: reviewing.visits,
    followed: {
      motions: reviewing.followed.motions.map(({ step, mode, side }) => [
        step?.id ?? null,
        mode ?? null,
        side,
      ]),
      readings: reviewing.followed.readings.map(({ id }) => id),
      growth: reviewing.followed.growth.map(({ id }) => id),
    },
    wearing: wearing.family.lines,
    set: stages.set.status,
    review: stages.review.status,
  });

/** An unloader with two screws for tests: one hinge, screwed stops, an order that limits the motion. */
export const unloaderContext: FoldContext = contextOf(
  'unloader-two-screws',
  { sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' },
  {
    hinge: {
      kind: 'screwed',
      extension: [0, 10, 20],
      flexion: [60, 90],
      installed: { extension: 0 },
      gives: 5,
    },
    settings: { screws: { inAll: 0.5 } },
  },
);

/** What version 8 brought: orders that are held and moved, corrections as ledgers, where the hinge stands, parts left over. */
export const foldedLedgers = ({ order, setting, shaping }: CaseState) =>
  rounded({
    order: order && { order: order.order, changes: order.changes, heldSince: order.heldSince ?? null },
    settings: setting.made.map(({ setting: { id }, chosen, made, flags, ledger, patient }) => ({
      id,
      chosen: chosen ? [chosen.decided.buffer ?? null, chosen.wouldDiffer] : null,
      made: made ?? null,
      flags,
      ledger: ledger ?? null,
      patient: patient ?? null,
    })),
    hinge: setting.hinge,
    work: shaping.work.map(({ operation: { id }, done }) => [id, done.length]),
  });

/** A frame whose bars are planned, with a cuff that is formed by heat: every kind of work on one brace. */
export const shapedContext: FoldContext = {
  ...testContext,
  programme: {
    ...testContext.programme,
    operations: [
      { kind: 'bend', id: 'bend-uprights', parts: ['upright-medial', 'upright-lateral'], off: true },
      { kind: 'trim', id: 'trim-shell', parts: ['shin-shell'], unit: 'mm', most: 30 },
      { kind: 'mould', id: 'mould-shin', parts: ['shin-shell'], runs: ['pack', 'gun'] },
    ],
  },
  model: {
    ...testModel,
    frame: {
      ...testModel.frame!,
      total: 40,
      increment: 6,
      bar: { material: 'aluminium', thickness: 3, width: 18, spread: 60, jaw: 20 },
    },
  },
};

/** What version 9 brought: contours, plans and passes of bars, runs of heat, marks of pressure, wounds beside scars. */
export const foldedShapes = ({ shaping, stages }: CaseState) =>
  rounded({
    bars: shaping.bars.map(({ part, made, spent, left, spring, read, unexplained, plan, shape }) => ({
      part: part.id,
      made,
      spent,
      left,
      spring: spring ?? null,
      read: read ?? null,
      unexplained,
      plan: plan ?? null,
      shape,
    })),
    heat: shaping.heat.map(({ run, stage, times, ended, readings, feels }) => ({
      run: run.id,
      stage: stage.id,
      times,
      ended: ended ?? null,
      readings,
      feels,
    })),
    marks: shaping.marks.map(({ state, taken }) => [state, taken]),
    scars: shaping.scars,
    check: stages.check.status,
  });

/** What a set of entries is of that tell how it went on and how it is worn. */
export const foldedWorn = ({ strapping, checking, wearing, calls }: CaseState) => ({
  list: strapping.list?.id,
  asksPolicy: strapping.asksPolicy,
  waits: strapping.waits,
  lost: strapping.lost?.step ?? null,
  tensions: strapping.tensions,
  early: strapping.steps.filter(({ outOfOrder }) => outOfOrder).map(({ id }) => id),
  done: strapping.done,
  shown: checking.signed?.decided.shown ?? null,
  plan: wearing.plan?.plan ?? null,
  tried: wearing.tried ?? null,
  told: wearing.told.map(({ day, minutes, skin, pain }) => [day, minutes, skin, pain]),
  worn: wearing.worn,
  letter: wearing.letter ? [wearing.letter.to, wearing.letter.how] : null,
  calls: calls.map(({ why, about }) => [why, about]),
});

/** What version 13 brought: phases with height, panels and position, where an order was read from, what was signed over. */
export const foldedGaps = ({ order, checking, setting }: CaseState) => ({
  order: order?.order,
  signed: checking.signed?.decided.inSpite ?? null,
  settings: setting.made.map(({ setting: { id }, needed }) => [id, needed]),
});

/** What version 14 brought: signs by region that are there, not there or not to be assessed, pulses, pain before the brace. */
export const foldedSigns = ({ screening, calls }: CaseState) => ({
  status: screening.status,
  blocking: screening.blocking.map(({ finding }) => finding),
  overridden: screening.overridden.map(({ answer }) => answer.finding),
  unable: screening.unable.map(({ finding }) => finding),
  circulation: screening.circulation,
  baseline: screening.baseline,
  called: calls.map(({ about, whom, made }) => [about, whom, made?.whom ?? null]),
});
