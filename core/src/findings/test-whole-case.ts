import type { Side } from '../anatomy';
import { addDays } from '../calendar';
import { contextOf, testLogbook } from '../logbook/test-case';
import { foldCase, type CaseState } from '../logbook';
import { isReading } from '../measuring';
import { limitsOf, type Order } from '../order';
import { limitedMotion, programmes, type Programme } from '../programmes';
import { circulationRegions, limbs, limbFunctions, type LimbsFelt } from '../screening';
import {
  bodyOfMade,
  choiceOn,
  decideSetting,
  isChosenFirst,
  placesOf,
  wantedOn,
  type MadeSetting,
} from '../setting';
import { decideSignature, narrowerChecks, shownThings, type FitCheck } from '../checking';
import { waysOf } from '../shaping';
import { decideSize } from '../sizing';
import type { BodyOf } from '../logbook';

/** The day on which the case is fitted. */
export const fittedOn = '2026-11-24';

const fullLimbs = Object.fromEntries(
  limbs.map((limb) => [limb, Object.fromEntries(limbFunctions.map((what) => [what, 'full']))]),
) as unknown as LimbsFelt;

/** A stage, or a step of it, that a generated case leaves out or does otherwise. */
export interface Otherwise {
  order?: Partial<Order>;
  leave?: readonly (
    'look' | 'limbs' | 'measure' | 'size' | 'set' | 'shape' | 'strap' | 'check' | 'sign' | 'wear' | 'visit'
  )[];
  /** checks that are answered wrong */
  wrong?: readonly string[];
  side?: Side;
}

/** A logbook of a family that goes through the nine stages as they should be gone through, but for what is asked otherwise. */
export function wholeCase(family: string, { order = {}, leave = [], wrong = [], side }: Otherwise = {}) {
  const programme = programmes.find(({ id }) => id === family)!;
  const context = contextOf(
    family,
    { sizes: ['M'], axes: [], between: 'larger', disagree: 'larger' },
    {
      hinge: { kind: 'dial', extension: [0, 10, 20, 30], flexion: [30, 60, 90, 120], lock: [0, 10, 20, 30] },
      parts: programme.parts,
      tolerances: Object.fromEntries(
        programme.checks.flatMap((check) =>
          check.kind === 'distance' && check.tolerance === 'model' ? [[check.id, { from: -5, to: 5 }]] : [],
        ),
      ),
    },
  );
  const braced: Side = side ?? (['trunk', 'neck'].includes(programme.region) ? 'midline' : 'right');
  const log = testLogbook(context, braced);
  const state = (): CaseState => foldCase(log.entries, context)!;
  const does = (what: Exclude<Otherwise['leave'], undefined>[number]) => !leave.includes(what);
  if (does('look')) log.looked();
  if (does('look') && circulationRegions.includes(programme.region))
    log.write('circulation.noted', {
      left: { pulse: 'felt', refill: 1 },
      right: { pulse: 'felt', refill: 1 },
    });
  if (programme.limbs && does('limbs')) log.write('limbs.noted', { moment: 'before', limbs: fullLimbs });
  log.order({ ...orderFor(programme, braced), ...order });
  if (does('measure')) measureAll(log, state);
  if (does('size')) {
    const size = decideSize(state());
    if (size) log.write('size.chosen', size);
  }
  carryOn(log, state, { leave, wrong });
  log.write('label.read', { serial: 'S-1' });
  if (does('wear')) {
    const given = state().order!.order;
    log.write(
      'wear.planned',
      given.protective
        ? { kind: 'as-ordered', from: fittedOn, wearing: given.wearing }
        : { kind: 'growing', from: fittedOn, firstDay: 30, grow: 30, everyDays: 1, ceiling: 120 },
    );
    log.write('wear.taught', { who: 'patient', how: 'by-oneself' });
    if (does('visit'))
      log.write('visit.planned', {
        day: addDays(fittedOn, ['trunk', 'neck'].includes(programme.region) ? 3 : 14),
        purpose: 'review',
      });
  }
  return { log, state, programme, context };
}

/** A case that is sized, taken on from Set to the signature. */
export function carryOn(
  log: Log,
  state: () => CaseState,
  { leave = [], wrong = [] }: Pick<Otherwise, 'leave' | 'wrong'> = {},
): void {
  const does = (what: NonNullable<Otherwise['leave']>[number]) => !leave.includes(what);
  const { programme } = state();
  if (does('set'))
    for (const one of state().setting.made) if (one.setting.made !== 'at-step') makeRight(log, state, one);
  if (does('shape'))
    for (const work of state().shaping.work)
      if (work.operation.asked)
        for (const part of work.parts)
          log.write('work.done', {
            operation: work.operation.id,
            part: part.id,
            ...amountOf(work.operation),
            ...(waysOf(work.operation, part)[0] === undefined
              ? {}
              : { way: waysOf(work.operation, part)[0]! }),
          });
  if (does('strap')) strap(log, state);
  if (does('check')) check(log, state, wrong);
  if (programme.limbs && does('limbs')) log.write('limbs.noted', { moment: 'after', limbs: fullLimbs });
  if (does('sign')) {
    const body = decideSignature(state());
    const narrower = narrowerChecks(state().checking);
    if (body)
      log.write('check.signed', {
        ...body,
        shown: [...shownThings],
        ...(narrower.length > 0 ? { narrower } : {}),
      });
  }
}

/** What an order says for a family: limits where its joint is limited, how it is put on where a list asks. */
export function orderFor(programme: Programme, side: Side): Partial<Order> {
  const limited = limitedMotion(programme);
  const does = programme.ordered ?? [];
  const limits = limited && does.includes('motion') ? limitsOf(limited, { extension: 10, flexion: 60 }) : [];
  return {
    side,
    dayZero: fittedOn,
    phases: [{ fromDay: 0, limits, weight: 'full' }],
    protective: true,
    wearing: 'day and night',
    trouble: 'keep-on',
    injuries: [],
    ...(does.includes('relieve') ? { relieve: 'medial' as const } : {}),
    ...(does.includes('posture') ? { posture: 'lying' as const } : {}),
    ...(does.includes('roll') ? { roll: 'left' as const } : {}),
    ...(does.includes('panels') ? { panels: ['low' as const] } : {}),
  };
}

type Log = ReturnType<typeof testLogbook>;

/** Takes every reading that is asked for. */
export function measureAll(log: Log, state: () => CaseState): void {
  for (const { step, side } of state().measuring.states) {
    if (step.optional) continue;
    if (step.kind === 'mark') log.write('measure.marked', { step: step.id, side });
    else if (step.kind === 'stance')
      log.write('measure.marked', {
        step: step.id,
        side,
        ...(step.stance ? {} : { stance: 'standing' as const }),
      });
    else if (step.kind === 'motion')
      for (const mode of step.modes)
        log.write(
          'motion.tested',
          {
            step: step.id,
            side,
            mode,
            extension: 0,
            flexion: 30,
            limitReached: { extension: false, flexion: false },
          },
          { stage: 'measure' },
        );
    else if (step.kind === 'posture')
      log.read(step.id, side, typeof step.target === 'number' ? step.target : 0);
    else if (isReading(step)) {
      const at = Math.round((step.plausible[0] + step.plausible[1]) / 2);
      log.read(step.id, side, ...Array.from({ length: step.repeats ?? 2 }, () => at));
    }
  }
}

/** Makes a setting as it should be on the fitting's day: as chosen, as wanted, or somewhere that exists. */
export function makeRight(log: Log, state: () => CaseState, { setting }: MadeSetting): void {
  const now = state();
  if (isChosenFirst(setting)) {
    const body = decideSetting(now, setting.id, fittedOn, true);
    if (!body) return;
    const of = log.write('set.chosen', body);
    log.write('set.made', {
      setting: setting.id,
      ...(body.values ? { values: body.values } : { fitted: body.fitted! }),
      of,
      moved: true,
    });
    return;
  }
  const choice = choiceOn(setting, now, fittedOn);
  if (choice?.ok) return void log.write('set.made', { setting: setting.id, ...bodyOfMade(choice.made) });
  const places = placesOf(setting);
  if (places.length === 0) return void log.write('set.made', { setting: setting.id, fitted: true });
  const wanted = wantedOn(setting, now, fittedOn);
  const at =
    wanted && wanted !== 'open' && Number.isFinite(wanted.from)
      ? wanted.from
      : setting.kind === 'correction' || setting.kind === 'lift'
        ? 0
        : 'least' in setting
          ? setting.least
          : 0;
  log.write('set.made', { setting: setting.id, values: places.map((place) => ({ place, value: at })) });
}

function strap(log: Log, state: () => CaseState): void {
  const { lists, list } = state().strapping;
  const which = list ?? lists[0];
  if (!which) return;
  log.write('strap.begun', {
    ...(lists.length > 1 ? { list: which.id } : {}),
    ...(which.handling ? { policy: true } : {}),
  });
  for (let guard = 0; guard < 400; guard += 1) {
    const { now } = state().strapping;
    if (!now) return;
    if (now.kind === 'check' || now.kind === 'repeat') {
      const id = now.kind === 'check' ? now.check : now.until;
      for (const { check: one } of state().checking.checks.filter(({ check: { id: of } }) => of === id))
        answer(log, one, state());
      continue;
    }
    if (now.kind === 'set') {
      const one = state().setting.made.find(({ setting }) => setting.id === now.setting);
      if (one) makeRight(log, state, one);
    }
    log.write('strap.done', {
      step: now.id,
      pass: now.pass,
      ...(now.kind === 'settle' ? { minutes: now.minutes } : {}),
      ...(now.over?.how === 'together' ? { alike: true } : {}),
    });
  }
  throw new Error(`the list of ${state().programme.id} does not end`);
}

function check(log: Log, state: () => CaseState, wrong: readonly string[]): void {
  for (const { check: one, judged } of state().checking.checks)
    if (judged.state === 'open') answer(log, one, state(), wrong.includes(one.id));
}

/** Answers a check rightly, or wrongly. */
export function answer(log: Log, one: FitCheck, state: CaseState, wrongly = false): void {
  const body = answerTo(one, state, wrongly);
  const last = log.entries.findLast(({ kind }) => kind === 'strap.done');
  const minutes = one.moment?.notBefore ?? 0;
  const from = Date.parse(last?.observedAt ?? '2026-11-24T09:30:00.000Z');
  log.write(
    'check.recorded',
    { check: one.id, ...(one.moment ? { moment: one.moment.is } : {}), ...body },
    { observedAt: new Date(from + minutes * 60_000).toISOString() },
  );
}

function answerTo(
  one: FitCheck,
  state: CaseState,
  wrongly: boolean,
): Omit<BodyOf<'check.recorded'>, 'check'> {
  switch (one.kind) {
    case 'seen':
      return { seen: !wrongly };
    case 'angle-at-stop': {
      const at = state.setting.fitted?.medial[one.stop] ?? (one.stop === 'extension' ? 10 : 60);
      return { value: at + (wrongly ? (one.stop === 'extension' ? -20 : 20) : 0) };
    }
    case 'distance':
      return { value: (one.from + one.to) / 2 + (wrongly ? 100 : 0) };
    case 'alike':
      return { value: 100, reference: wrongly ? 160 : 100 };
    case 'proximal-to':
      return { value: wrongly ? 120 : 90, reference: 110 };
    case 'fingers':
      return { value: one.least + (wrongly ? 4 : 0) };
    case 'quantity':
      return { value: wrongly ? (one.most ?? one.least ?? 0) + 30 : (one.least ?? one.most ?? 0) };
    case 'mark': {
      const made = state.setting.made.find(({ setting }) => setting.id === one.setting)?.made;
      return { value: (Object.values(made?.values ?? {})[0] ?? 1) + (wrongly ? 3 : 0) };
    }
    case 'compared': {
      const read = state.measuring.states.find(({ step }) => step.id === one.step)?.assessed?.mean ?? 0;
      return { value: read + (one.least + one.most) / 2 + (wrongly ? 300 : 0) };
    }
  }
}

const amountOf = (operation: CaseState['shaping']['work'][number]['operation']) =>
  'unit' in operation && operation.unit !== undefined && 'least' in operation && operation.least !== undefined
    ? { amount: Math.max(1, operation.least) }
    : {};
