import { otherSide, type Side } from '@estribo/core/anatomy';
import type { ClinicDay } from '@estribo/core/calendar';
import { decideSignature, decideSize, decideStops, type BodyOf } from '@estribo/core/logbook';
import type { Pin, Programme } from '@estribo/core/programmes';
import type { Finding } from '@estribo/core/screening';
import type { DemoName } from './people';
import type { CaseWriter } from './writer';

export interface DemoCase {
  who: DemoName;
  side: Side;
  model: 'caneiro-4p' | 'lousa-ligamento';
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
  size: () => Promise<void>;
  motion: (extension: number, flexion: number, stage?: 'set' | 'review') => Promise<void>;
  stops: (day: ClinicDay, stage?: 'set' | 'review') => Promise<void>;
  shape: () => Promise<void>;
  strap: (upTo?: string) => Promise<void>;
  check: (values?: Record<string, number>) => Promise<void>;
  teach: () => Promise<void>;
}

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
      const answers = programme.content.findings.map((finding) => ({
        finding,
        present: present.includes(finding),
      }));
      await write('screen.looked', 'screen', { answers });
    },
    order: async (dayZero, order = {}) => {
      await write('order.given', 'screen', {
        diagnosis: 'Ligament reconstruction',
        prescriber: 'Dr Elva Nogueira',
        side,
        dayZero,
        phases: [
          { fromDay: 0, window: { extension: 10, flexion: 60 } },
          { fromDay: 14, window: { extension: 5, flexion: 90 } },
          { fromDay: 28, window: { extension: 0, flexion: 105 } },
          { fromDay: 42, window: { extension: 0, flexion: 120 } },
        ],
        protective: true,
        wearing: 'Day and night, also in bed',
        trouble: 'keep-on',
        ...order,
      });
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
    size: async () => {
      await write('size.chosen', 'size', decideSize(await state())!);
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
      const chosen = await write('set.stops-chosen', stage, decideStops(await state(), day, true)!);
      const { medial, lateral } = chosen.body as BodyOf<'set.stops-chosen'>;
      await write('set.stops-fitted', stage, { medial, lateral, of: chosen.id, moved: true });
    },
    shape: async () => {
      await write('shape.scar', 'shape', { face: 'front', from: -30, to: -150 });
      for (const { pad, advice } of (await state()).shaping.pads)
        await write('shape.pad', 'shape', {
          pad: pad.id,
          done: advice === 'split-around' ? 'split' : 'placed',
        });
      await write('shape.bent', 'shape', {
        upright: 'medial',
        place: -110,
        direction: 'away-from-limb',
        amount: 3,
      });
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
        if (check.kind === 'distance')
          await write('check.recorded', 'check', {
            check: check.id,
            value: given ?? (check.from + check.to) / 2,
          });
        if (check.kind === 'seen') await write('check.recorded', 'check', { check: check.id, seen: true });
        if (check.kind === 'proximal-to')
          await write('check.recorded', 'check', { check: check.id, value: 110, reference: 135 });
        if (check.kind === 'angle-at-stop' && fitted && fitted[check.stop] !== null)
          await write('check.recorded', 'check', {
            check: check.id,
            value: given ?? fitted[check.stop]! + (check.stop === 'extension' ? 1 : -2),
          });
      }
      await write('check.signed', 'check', decideSignature(await state())!);
    },
    teach: async () => {
      await write('wear.taught', 'wear', { who: 'patient' });
    },
  };
}

const asOrdered = (kit: Kit, from: ClinicDay) =>
  kit.writer.write('wear.planned', 'wear', {
    kind: 'as-ordered',
    from,
    wearing: 'Day and night, also in bed',
  });

const review = (kit: Kit, skin: 'clear' | 'fades-within-30-min', pain: number, hours: number) =>
  kit.writer.write('review.found', 'review', { skin, pain, hours });

const visit = (kit: Kit, days: number, purpose: 'fitting' | 'review', note?: string) =>
  kit.writer.write('visit.planned', purpose === 'review' ? 'review' : 'case', {
    day: kit.day(days),
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
      await kit.check();
      await visit(kit, 4, 'review');
    },
  },
  {
    who: 'Bento',
    side: 'left',
    model: 'lousa-ligamento',
    write: async (kit) => {
      const day = await fitted(kit, -3, -60, 452, 356, {
        diagnosis: 'Old ligament injury, unstable when walking downhill',
        phases: [{ fromDay: 0, window: { extension: 0 } }],
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
      await visit(kit, -1, 'review', 'ask about the night');
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
      await visit(kit, 0, 'review');
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
      await visit(kit, 2, 'fitting', 'only when the ward has cleared the calf');
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
      await kit.strap('strap-3');
      await visit(kit, 0, 'fitting');
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
      await visit(kit, 1, 'fitting', 'hinge sat low: longer upper straps');
    },
  },
];
