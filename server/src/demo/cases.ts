import { decideSize } from '@estribo/core/sizing';
import { decideSignature, narrowerChecks } from '@estribo/core/checking';
import { decideSetting } from '@estribo/core/setting';
import { otherSide, type Side } from '@estribo/core/anatomy';
import type { ClinicDay } from '@estribo/core/calendar';
import type { BodyOf, VisitPurpose } from '@estribo/core/logbook';
import { instrumentOf } from '@estribo/core/measuring';
import { limitsOf, type Order } from '@estribo/core/order';
import { notCarriedOut, type Pin, type Programme } from '@estribo/core/programmes';
import { askedFindings, circulationRegions, isDangerSign, type Finding } from '@estribo/core/screening';
import { decideBends, onBar, planBends, planRequest } from '@estribo/core/shaping';
import type { DemoName } from './people';
import type { CaseWriter } from './writer';

const knee = { joint: 'knee', plane: 'sagittal' } as const;
const flexTo = (flexion: number) => limitsOf(knee, { extension: 0, flexion });
const straightWhenWalking = {
  joint: 'knee',
  at: { toward: 'flexion', degrees: 0 },
  when: 'walking',
} as const;

export interface DemoCase {
  who: DemoName;
  side: Side;
  /** the id of a demo model */
  model: string;
  write: (kit: Kit) => Promise<void>;
}

/** What the scenario writes with: a case's writer and the steps of a fitting. */
export interface Kit {
  writer: CaseWriter;
  /** a day counted from today */
  day: (days: number) => ClinicDay;
  open: () => Promise<void>;
  screen: (present?: Finding[]) => Promise<void>;
  order: (dayZero: ClinicDay, order?: Partial<BodyOf<'order.given'>>) => Promise<void>;
  measure: (above: number, below: number, sides?: 'both' | 'braced') => Promise<void>;
  /** every step up to one, read near what is given or near what is usual */
  measureAs: (values: Record<string, number>, upTo?: string) => Promise<void>;
  size: (height?: { height: 'short' | 'tall' | 'low' | 'high'; reason: string }) => Promise<void>;
  motion: (extension: number, flexion: number, stage?: 'set' | 'review') => Promise<void>;
  /** a setting of the two uprights, both alike */
  pair: (setting: string, value: number) => Promise<void>;
  stops: (day: ClinicDay, stage?: 'set' | 'review') => Promise<void>;
  shape: () => Promise<void>;
  /** a bar to a contour, by straight-edge offsets, planned, with so many passes made */
  bend: (
    part: string,
    stations: readonly (readonly [at: number, offset: number])[],
    passes: number,
  ) => Promise<void>;
  strap: (upTo?: string) => Promise<void>;
  check: (values?: Record<string, number>) => Promise<void>;
  teach: () => Promise<void>;
}

const full = { movement: 'full', sensation: 'full' } as const;
const wholeLimbs = { 'left-arm': full, 'right-arm': full, 'left-leg': full, 'right-leg': full };

export function fittingKit(
  writer: CaseWriter,
  side: Side,
  person: string,
  programme: { pin: Pin; content: Programme },
  model: Pin,
): Kit {
  const { write, state } = writer;
  const read = async (step: string, at: Side, values: number[], instrument: 'tape' | 'goniometer') => {
    for (const value of values) await write('measure.read', 'measure', { step, side: at, value, instrument });
  };
  return {
    writer,
    day: writer.day,
    open: async () => {
      await write('case.opened', 'case', { person, side, programme: programme.pin, model });
    },
    screen: async (present = []) => {
      const answers = askedFindings(programme.content).map((finding) => ({
        finding,
        is: present.includes(finding) ? ('present' as const) : ('absent' as const),
      }));
      await write('screen.looked', 'screen', { answers, pain: 5 });
      if (circulationRegions.includes(programme.content.region))
        await write('circulation.noted', 'screen', {
          left: { pulse: 'felt', refill: 1.5 },
          right: { pulse: 'felt', refill: 1.5 },
        });
      if (programme.content.limbs)
        await write('limbs.noted', 'screen', { moment: 'before', limbs: wholeLimbs });
    },
    order: async (dayZero, order = {}) => {
      const given: BodyOf<'order.given'> = {
        diagnosis: 'Ligament reconstruction',
        injuries: [{ code: 'front-cruciate', ...(side === 'midline' ? {} : { side }) }],
        prescriber: 'Dr Elva Nogueira',
        side,
        dayZero,
        phases: [
          { fromDay: 0, limits: limitsOf(knee, { extension: 10, flexion: 60 }) },
          { fromDay: 14, limits: limitsOf(knee, { extension: 5, flexion: 90 }) },
          { fromDay: 28, limits: limitsOf(knee, { extension: 0, flexion: 105 }) },
          { fromDay: 42, limits: limitsOf(knee, { extension: 0, flexion: 120 }) },
        ],
        protective: true,
        wearing: 'Day and night, also in bed',
        trouble: 'keep-on',
        ...order,
      };
      const left = notCarriedOut(given as Order, programme.content, (await state()).model);
      await write('order.given', 'screen', { ...given, ...(left.length > 0 ? { acknowledged: left } : {}) });
    },
    measure: async (above, below, sides = 'both') => {
      for (const at of sides === 'both' ? [side, otherSide(side)] : [side]) {
        const other = at === side ? 0 : -7;
        await read('knee-posture', at, [31], 'goniometer');
        await write('measure.marked', 'measure', { step: 'mid-kneecap', side: at });
        await read('girth-above', at, [above + other, above + other + 3], 'tape');
        await read('girth-below', at, [below + other - 1, below + other + 2], 'tape');
      }
    },
    measureAs: async (values, upTo) => {
      for (const { step, side: at, done } of (await state()).measuring.states) {
        if (step.id === upTo) return;
        if (done || (step.optional && values[step.id] === undefined)) continue;
        const own = values[step.id];
        const shift = at === side || at === 'midline' ? 0 : -0.012;
        if (step.kind === 'stance')
          await write('measure.marked', 'measure', {
            step: step.id,
            side: at,
            ...(step.stance ? {} : { stance: programme.content.region === 'trunk' ? 'standing' : 'seated' }),
          });
        else if (step.kind === 'mark') await write('measure.marked', 'measure', { step: step.id, side: at });
        else if (step.kind === 'posture')
          await write('measure.read', 'measure', {
            step: step.id,
            side: at,
            value: (typeof step.target === 'number' ? step.target : 0) + 1,
            instrument: 'goniometer',
          });
        else if (step.kind === 'motion') continue;
        else {
          const mean = (own ?? (step.ofStature ?? 0.2) * 1650) * (1 + shift);
          const repeats = step.repeats === 1 ? [0] : [-0.4, 0.35];
          for (const by of repeats)
            await write('measure.read', 'measure', {
              step: step.id,
              side: at,
              value: Math.round((mean + by * step.tolerance) * 10) / 10,
              instrument: instrumentOf(step),
            });
        }
      }
    },
    size: async (height) => {
      await write('size.chosen', 'size', decideSize(await state(), undefined, height)!);
    },
    motion: async (extension, flexion, stage = 'set') => {
      await write('motion.tested', stage, {
        side,
        mode: 'passive',
        extension,
        flexion,
        limitReached: { extension: false, flexion: false },
      });
    },
    stops: async (day, stage = 'set') => {
      const { setting, values, ...why } = decideSetting(await state(), 'hinge-stops', day, true)!;
      const { id: of } = await write('set.chosen', stage, { setting, values, ...why });
      await write('set.made', stage, { setting, values, of, moved: true });
    },
    pair: async (setting, value) => {
      await write('set.made', 'set', {
        setting,
        values: ['medial', 'lateral'].map((place) => ({ place, value })),
      });
    },
    shape: async () => {
      await write('shape.scar', 'shape', { what: 'scar', face: 'front', from: -30, to: -150 });
      for (const { pad, advice } of (await state()).shaping.pads)
        await write('work.done', 'shape', {
          operation: 'place-pads',
          part: pad.id,
          way: advice === 'split-around' ? 'split' : 'placed',
        });
      await write('work.done', 'shape', {
        operation: 'bend-uprights',
        part: 'upright-medial',
        at: -110,
        direction: 'away-from-limb',
        amount: 3,
      });
    },
    bend: async (part, stations, passes) => {
      await write('shape.contour', 'shape', {
        part,
        source: 'straight-edge',
        points: stations.map(([at, offset]) => ({ at, out: -offset })),
        liner: 6,
        pad: 6,
        gap: 0,
      });
      const now = await state();
      const bar = now.shaping.bars.find((one) => one.part.id === part)!;
      const asked = planRequest(bar, now.model.frame!);
      if (!asked.ok) throw new Error(`the demo's bar is not planned: ${asked.why}`);
      const choices = planBends(asked.request.arms, asked.request.limits, asked.request.grid);
      const bends = onBar(asked.request, choices.find(({ gap }) => gap <= 1.5) ?? choices.at(-1)!);
      await write('shape.planned', 'shape', decideBends(now, part, 'contour', bends)!);
      for (let pass = 0; pass < passes; pass += 1) {
        const { plan } = (await state()).shaping.bars.find((one) => one.part.id === part)!;
        const next = plan?.work.find((one) => one.next?.ok);
        if (!next?.next?.ok) return;
        await write('work.done', 'shape', {
          operation: bar.operation,
          part,
          at: next.at,
          direction: next.turn > 0 ? 'away-from-limb' : 'towards-limb',
          amount: Math.round(next.next.keeps * 100) / 100,
          ...(next.next.hand === undefined ? {} : { hand: Math.round(next.next.hand * 10) / 10 }),
        });
      }
    },
    strap: async (upTo) => {
      for (
        let now = (await state()).strapping.now;
        now && now.id !== upTo;
        now = (await state()).strapping.now
      )
        await write('strap.done', 'strap', {
          step: now.id,
          pass: now.pass,
          ...(now.kind === 'settle' ? { minutes: now.minutes!, dropped: 4 } : {}),
        });
    },
    check: async (values = {}) => {
      const fitted = (await state()).setting.fitted?.medial;
      for (const { check } of (await state()).checking.checks) {
        const given = values[check.id];
        const found = (answer: Omit<BodyOf<'check.recorded'>, 'check' | 'moment'>) =>
          write('check.recorded', 'check', {
            check: check.id,
            ...(check.moment ? { moment: check.moment.is } : {}),
            ...answer,
          });
        if (check.kind === 'distance') await found({ value: given ?? (check.from + check.to) / 2 });
        if (check.kind === 'seen') await found({ seen: true });
        if (check.kind === 'proximal-to') await found({ value: 110, reference: 135 });
        if (check.kind === 'alike') await found({ value: 118, reference: 119 });
        if (check.kind === 'quantity') await found({ value: given ?? Math.min(1.5, check.most ?? 1.5) });
        if (check.kind === 'fingers') await found({ value: check.least });
        if (check.kind === 'angle-at-stop' && fitted && fitted[check.stop] !== null)
          await found({ value: given ?? fitted[check.stop]! + (check.stop === 'extension' ? 1 : -2) });
      }
      const checked = await state();
      const narrower = narrowerChecks(checked.checking);
      await write('check.signed', 'check', {
        ...decideSignature(checked)!,
        shown: ['donning', 'removal', 'skin', 'trouble'],
        ...(narrower.length > 0 ? { narrower } : {}),
      });
    },
    teach: async () => {
      await write('wear.taught', 'wear', { who: 'patient', how: 'by-oneself' });
    },
  };
}

const asOrdered = (kit: Kit, from: ClinicDay) =>
  kit.writer.write('wear.planned', 'wear', {
    kind: 'as-ordered',
    from,
    wearing: 'Day and night, also in bed',
  });

/** A review that begins with the danger signs, none of them present. */
async function review(kit: Kit, skin: 'clear' | 'fades-within-30-min', pain: number, hours: number) {
  const asked = (await kit.writer.state()).screening.asked.filter(isDangerSign);
  await kit.writer.write('screen.looked', 'review', {
    answers: asked.map((finding) => ({ finding, is: 'absent' })),
  });
  await kit.writer.write('review.found', 'review', { skin, pain, hours });
}

const visit = (
  kit: Kit,
  days: number,
  purpose: VisitPurpose,
  { note, time }: { note?: string; time?: string } = {},
) =>
  kit.writer.write('visit.planned', purpose === 'review' ? 'review' : 'case', {
    day: kit.day(days),
    ...(time ? { time } : {}),
    purpose,
    ...(note ? { note } : {}),
  });

/** A whole fitting, from the first look to the teach-back, on one day. */
async function fitted(
  kit: Kit,
  days: number,
  dayZeroDays: number,
  above: number,
  below: number,
  order: Partial<BodyOf<'order.given'>> = {},
) {
  const day = kit.writer.at(days, '09:10');
  await kit.open();
  await kit.screen();
  await kit.order(kit.day(dayZeroDays), order);
  await kit.measure(above, below);
  await kit.size();
  await kit.motion(-12, 58);
  await kit.stops(day);
  await kit.shape();
  await kit.strap();
  await kit.check();
  return day;
}

/** The scenario: where each case of the workshop stands today. */
export const demoCases: readonly DemoCase[] = [
  {
    who: 'Iria',
    side: 'right',
    model: 'caneiro-4p',
    write: async (kit) => {
      const day = await fitted(kit, -17, -18, 454, 362);
      await asOrdered(kit, day);
      await kit.teach();
      await visit(kit, -4, 'review');
      const now = kit.writer.at(-4, '10:20');
      await review(kit, 'fades-within-30-min', 3, 22);
      await kit.motion(-8, 84, 'review');
      await kit.writer.write('measure.read', 'review', {
        step: 'girth-above',
        side: 'right',
        value: 449,
        instrument: 'tape',
      });
      await kit.stops(now, 'review');
      await kit.writer.write('hinge.placed', 'review', {
        aboveJointLine: 31,
        forwardOfMidline: -4,
        knee: 45,
        donned: 45,
      });
      await kit.check();
      await visit(kit, 4, 'review', { time: '11:15' });
    },
  },
  {
    who: 'Bento',
    side: 'left',
    model: 'lousa-ligamento',
    write: async (kit) => {
      const day = await fitted(kit, -3, -60, 452, 356, {
        diagnosis: 'Old ligament injury, unstable when walking downhill',
        phases: [{ fromDay: 0, limits: limitsOf(knee, { extension: 0 }) }],
        protective: false,
        wearing: 'For walking and work',
        trouble: 'take-off',
      });
      await kit.writer.write('wear.planned', 'wear', {
        kind: 'growing',
        from: day,
        firstDay: 30,
        grow: 30,
        everyDays: 1,
        ceiling: 360,
      });
      await kit.teach();
      await visit(kit, 8, 'review');
    },
  },
  {
    who: 'Marta',
    side: 'left',
    model: 'caneiro-4p',
    write: async (kit) => {
      const day = await fitted(kit, -9, -10, 489, 384);
      await asOrdered(kit, day);
      await kit.teach();
      await visit(kit, -1, 'review', { note: 'ask about the night', time: '12:15' });
    },
  },
  {
    who: 'Xoel',
    side: 'right',
    model: 'caneiro-4p',
    write: async (kit) => {
      kit.writer.at(-1, '16:30');
      await kit.open();
      await kit.screen(['swelling-expected-to-fall']);
      await kit.order(kit.day(-2));
      await kit.measure(466, 366);
      await kit.size();
      await visit(kit, 1, 'fitting');
    },
  },
  {
    who: 'Sabela',
    side: 'right',
    model: 'caneiro-4p',
    write: async (kit) => {
      const day = await fitted(kit, -13, -14, 421, 338);
      await asOrdered(kit, day);
      await kit.teach();
      await visit(kit, 0, 'review', { time: '10:30' });
    },
  },
  {
    who: 'Roi',
    side: 'left',
    model: 'caneiro-4p',
    write: async (kit) => {
      kit.writer.at(0, '08:40');
      await kit.open();
      await kit.screen(['calf-swollen', 'diabetes']);
      await kit.order(kit.day(-6));
      await visit(kit, 2, 'fitting', { note: 'only when the ward has cleared the calf', time: '10:00' });
    },
  },
  {
    who: 'Uxia',
    side: 'left',
    model: 'caneiro-4p',
    write: async (kit) => {
      kit.writer.at(0, '08:55');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-3));
      await kit.measure(438, 352, 'braced');
    },
  },
  {
    who: 'Antón',
    side: 'right',
    model: 'lousa-ligamento',
    write: async (kit) => {
      kit.writer.at(0, '08:20');
      await kit.open();
      await visit(kit, 3, 'fitting');
    },
  },
  {
    who: 'Noa',
    side: 'right',
    model: 'caneiro-4p',
    write: async (kit) => {
      const day = kit.writer.at(0, '08:05');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-15));
      await kit.measure(447, 358);
      await kit.size();
      await kit.motion(-6, 81);
      await kit.stops(day);
      await kit.shape();
      // a straight-edge along the outer side: hollow above the condyle, out again over the calf
      await kit.bend(
        'upright-lateral',
        [
          [180, 3],
          [150, 6],
          [120, 9],
          [90, 9.5],
          [60, 7],
          [0, 6],
          [-60, 8],
          [-90, 9],
          [-120, 7],
          [-150, 6],
          [-175, 9],
        ],
        1,
      );
      await kit.strap('strap-3');
      await visit(kit, 0, 'fitting', { time: '16:00', note: 'with the helper from the ward' });
    },
  },
  {
    who: 'Brais',
    side: 'left',
    model: 'caneiro-4p',
    write: async (kit) => {
      const day = kit.writer.at(-1, '11:15');
      await kit.open();
      await kit.screen(['neuropathy']);
      await kit.order(kit.day(-5));
      await kit.measure(503, 391);
      await kit.size();
      await kit.motion(-12, 57);
      await kit.stops(day);
      await kit.shape();
      await kit.strap();
      await kit.check({ 'hinge-height': -9 });
      await visit(kit, 1, 'fitting', { note: 'hinge sat low: longer upper straps', time: '09:30' });
    },
  },
  {
    // seven visits of falling swelling: where the girth is going, and when the size changes
    who: 'Carme',
    side: 'right',
    model: 'barca-telescopio',
    write: async (kit) => {
      const day = kit.writer.at(-30, '10:10');
      await kit.open();
      await kit.screen(['swelling-expected-to-fall']);
      await kit.order(kit.day(-31), {
        diagnosis: 'Patellar tendon repair',
        injuries: [{ code: 'patella', side: 'right' }],
        phases: [
          { fromDay: 0, limits: flexTo(30), locks: [straightWhenWalking], weight: 'touch' },
          { fromDay: 14, limits: flexTo(60), locks: [straightWhenWalking], weight: 'partial' },
          { fromDay: 28, limits: flexTo(90), weight: 'as-tolerated' },
          { fromDay: 42, limits: flexTo(120), weight: 'full' },
        ],
      });
      await kit.measureAs({ 'girth-above': 508, 'girth-below': 392, 'knee-to-malleoli': 402 });
      await kit.size();
      await kit.motion(-5, 28);
      await kit.stops(day);
      await kit.pair('knee-lock', 0);
      await kit.pair('upright-length', 552);
      await kit.pair('strap-carriers', 5);
      await kit.strap();
      await kit.check();
      await asOrdered(kit, day);
      await kit.teach();
      for (const [days, girth, pain] of [
        [-26, 505, 5],
        [-22, 501, 4],
        [-17, 499, 3],
        [-12, 494, 3],
        [-8, 492, 2],
        [-3, 488, 2],
      ] as const) {
        const now = kit.writer.at(days, '09:40');
        await review(kit, 'clear', pain, 22);
        if (days === -17 || days === -3) {
          await kit.motion(-3, days === -17 ? 57 : 84, 'review');
          await kit.stops(now, 'review');
        }
        // the third phase orders no lock
        if (days === -3)
          await kit.writer.write('set.made', 'review', { setting: 'knee-lock', fitted: false });
        await kit.writer.write('measure.read', 'review', {
          step: 'girth-above',
          side: 'right',
          value: girth,
          instrument: 'tape',
        });
      }
      await visit(kit, 5, 'review');
    },
  },
  {
    who: 'Fiz',
    side: 'right',
    model: 'xunco-malla',
    write: async (kit) => {
      kit.writer.at(0, '08:30');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-2), {
        diagnosis: 'Patellar tracking, painful on stairs',
        injuries: [{ code: 'patella', side: 'right' }],
        phases: [{ fromDay: 0, limits: [] }],
        protective: false,
        wearing: 'For sport and stairs',
        trouble: 'take-off',
      });
      await kit.measureAs({ 'girth-above': 442, 'girth-below': 338 }, 'calf-sign');
    },
  },
  {
    who: 'Elvira',
    side: 'midline',
    model: 'espiga-dorsal',
    write: async (kit) => {
      kit.writer.at(0, '09:00');
      await kit.open();
      await kit.screen(['fragile-skin']);
      await kit.order(kit.day(-4), {
        diagnosis: 'Osteoporosis, two vertebrae sunk',
        injuries: [{ code: 'vertebral-fracture-osteoporotic' }],
        phases: [{ fromDay: 0, limits: [] }],
        protective: false,
        wearing: 'Mornings and afternoons, growing',
        trouble: 'take-off',
      });
      await kit.measureAs({
        'c7-to-sacrum': 452,
        'inclination-0': 44,
        'inclination-25': 26,
        'inclination-50': 2,
        'inclination-75': -14,
        'inclination-100': 9,
      });
      await kit.size();
    },
  },
  {
    // a rigid trunk brace that presses under one arm and at a thigh
    who: 'Amaro',
    side: 'midline',
    model: 'cuncha-dupla',
    write: async (kit) => {
      kit.writer.at(0, '09:20');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-8), {
        diagnosis: 'Burst fracture of the first lumbar vertebra, fixed',
        injuries: [{ code: 'vertebral-fracture-stable' }, { code: 'fusion' }],
        phases: [{ fromDay: 0, limits: [] }],
        posture: 'seated',
        protective: true,
        wearing: 'Out of bed, for twelve weeks',
        trouble: 'keep-on',
      });
      await kit.measureAs({});
      await kit.size();
      const mark = { from: 'waist', aside: 0, way: 'trim' } as const;
      await kit.writer.write('shape.marked', 'shape', {
        ...mark,
        part: 'shell-back',
        offset: 172,
        face: 'left',
        amount: 9,
        note: 'The roller nips when the arm comes down.',
      });
      const thigh = await kit.writer.write('shape.marked', 'shape', {
        ...mark,
        part: 'shell-front',
        offset: -152,
        face: 'front',
        aside: -60,
        amount: 12,
      });
      await kit.writer.write('work.done', 'shape', {
        operation: 'trim-shell',
        part: 'shell-front',
        amount: 12,
        mark: thigh.id,
      });
    },
  },
  {
    who: 'Moncho',
    side: 'midline',
    model: 'ribeira-faixa',
    write: async (kit) => {
      kit.writer.at(0, '09:05');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-1), {
        diagnosis: 'Low back pain after lifting',
        injuries: [{ code: 'disc' }],
        height: 'low',
        phases: [{ fromDay: 0, limits: [] }],
        protective: false,
        wearing: 'For work, at most half a day',
        trouble: 'take-off',
      });
      await kit.measureAs({
        'girth-waist': 1012,
        'girth-waist-above': 1006,
        'girth-waist-below': 1041,
        'l1-to-l5': 146,
      });
    },
  },
  {
    who: 'Xián',
    side: 'midline',
    model: 'colo-rio-neno',
    write: async (kit) => {
      kit.writer.at(0, '09:10');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(0), {
        diagnosis: 'Neck sprain, no fracture seen',
        injuries: [{ code: 'cervical-sprain' }],
        phases: [{ fromDay: 0, limits: [] }],
        protective: true,
        wearing: 'Day and night until seen again',
        trouble: 'keep-on',
      });
      await kit.measureAs({ age: 4.7, weight: 20.9 }, 'stature');
    },
  },
  {
    who: 'Dores',
    side: 'left',
    model: 'ombreira-vela',
    write: async (kit) => {
      kit.writer.at(0, '09:15');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-6), {
        diagnosis: 'Shoulder subluxation',
        injuries: [{ code: 'shoulder-instability', side: 'left' }],
        phases: [
          {
            fromDay: 0,
            limits: limitsOf({ joint: 'shoulder', plane: 'sagittal' }, { extension: -20, flexion: 90 }),
          },
        ],
        protective: false,
        wearing: 'By day',
        trouble: 'take-off',
      });
    },
  },
  {
    who: 'Lois',
    side: 'right',
    model: 'bota-balsa',
    write: async (kit) => {
      kit.writer.at(0, '09:20');
      await kit.open();
      await kit.screen(['not-weight-bearing']);
      await kit.order(kit.day(-9), {
        diagnosis: 'Fracture of the fifth metatarsal',
        height: 'short',
        injuries: [{ code: 'fracture-foot', side: 'right' }],
        phases: [{ fromDay: 0, limits: [], weight: 'partial' }],
        angles: [{ joint: 'ankle', plane: 'sagittal', at: { toward: 'plantarflexion', degrees: 0 } }],
        protective: true,
        wearing: 'Day and night, off to wash',
        trouble: 'keep-on',
      });
      await kit.measureAs({ 'foot-length': 268 });
    },
  },
  {
    // an unloader corrected over three visits: a ledger, with pain and hours beside it
    who: 'Pilar',
    side: 'right',
    model: 'ponla-duas',
    write: async (kit) => {
      kit.writer.at(-28, '10:30');
      await kit.open();
      await kit.screen();
      await kit.order(kit.day(-33), {
        diagnosis: 'Osteoarthritis of the inner side, worse on long walks',
        injuries: [{ code: 'osteoarthritis-inner', side: 'right' }],
        phases: [{ fromDay: 0, limits: [] }],
        relieve: 'medial',
        protective: false,
        wearing: 'For walks and work, growing',
        trouble: 'take-off',
      });
      await kit.measureAs({ 'girth-above': 472, 'girth-below': 366 });
      await kit.size();
      const screws = { setting: 'screws' };
      const turn = (place: 'upper' | 'lower', n: number, stage: 'strap' | 'review') =>
        kit.writer.write('set.turned', stage, { ...screws, turns: [{ place, n, d: 8 }] });
      const felt = (comfort: 'gentle' | 'too-much', pain: number, stage: 'strap' | 'review') =>
        kit.writer.write('set.felt', stage, { ...screws, comfort, walked: true, pain });
      await kit.writer.write('set.made', 'set', {
        ...screws,
        values: ['upper', 'lower'].map((place) => ({ place, value: 0 })),
      });
      await kit.writer.write('set.made', 'set', { setting: 'condyle-pad-in', fitted: false, given: true });
      await kit.strap();
      await turn('upper', 1, 'strap');
      await turn('lower', 1, 'strap');
      await felt('gentle', 5, 'strap');
      await kit.strap();
      await kit.check();
      await kit.writer.write('wear.planned', 'wear', {
        kind: 'growing',
        from: kit.day(-28),
        firstDay: 30,
        grow: 30,
        everyDays: 1,
        ceiling: 360,
      });
      await kit.teach();
      kit.writer.at(-18, '11:00');
      await review(kit, 'clear', 5, 3);
      await turn('upper', 1, 'review');
      await felt('too-much', 6, 'review');
      await turn('upper', -1, 'review');
      kit.writer.at(-7, '11:10');
      await review(kit, 'clear', 3, 5);
      await visit(kit, 6, 'review');
    },
  },
  {
    // a boot in equinus: wedges under the heel, out by the phases of the order
    who: 'Breixo',
    side: 'left',
    model: 'bota-balsa',
    write: async (kit) => {
      kit.writer.at(-6, '12:00');
      await kit.open();
      await kit.screen(['not-weight-bearing']);
      const pointed = (degrees: number) => [
        {
          joint: 'ankle' as const,
          at: { toward: 'plantarflexion' as const, degrees },
          when: 'always' as const,
        },
      ];
      await kit.order(kit.day(-12), {
        diagnosis: 'Achilles tendon rupture, sewn',
        height: 'tall',
        injuries: [{ code: 'achilles', side: 'left' }],
        phases: [
          { fromDay: 0, limits: [], locks: pointed(20), weight: 'touch' },
          { fromDay: 14, limits: [], locks: pointed(10), weight: 'partial' },
          { fromDay: 28, limits: [], locks: pointed(0), weight: 'full' },
        ],
        protective: true,
        wearing: 'Day and night, off to wash',
        trouble: 'keep-on',
      });
      await kit.measureAs({ 'foot-length': 262, 'heel-to-ball': 181 });
      await kit.size({ height: 'tall', reason: 'ordered' });
      const one = (setting: string, value: number) =>
        kit.writer.write('set.made', 'set', { setting, values: [{ place: 'one', value }] });
      await one('ankle-angle', 20);
      await one('heel-wedges', 7);
      await visit(kit, 2, 'review');
    },
  },
];
