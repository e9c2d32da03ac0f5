import type { ClinicDay } from '../calendar';
import type { BodyIn, LiveRecord, Recorded } from '../record';
import { settingFelt, settingHandedOver, settingMade, settingTurned } from './entries';
import { placesAlong, type SettingMade } from './kind';
import { changeFault, hair, madeIn, mostAtOnce, type Setting } from './settings';
import { asNumber, noTurn, opposite, sumOfTurns, turnOf, type Turn } from './turns';

/** How a setting stands after an entry: as it was made, or as far as it was turned. */
export interface Doing {
  entry: string;
  day: ClinicDay;
  made: SettingMade;
  found: boolean;
  reported: boolean;
  given: boolean;
  /** days from one time to the next, as the patient tells */
  everyDays?: number;
  because?: string;
}

/** One line of a correction's ledger: what was done, where it stands after it, exactly, and how it was felt. */
export interface LedgerLine {
  entry: string;
  day: ClinicDay;
  by: string;
  what: 'set' | 'turned';
  turns: { place: string; by: Turn }[];
  stands: Record<string, Turn>;
  reported: boolean;
  found: boolean;
  /** more than is allowed at once or in all, and why in spite of it */
  over?: 'over-change' | 'over-all';
  inSpite?: string;
  felt?: { entry: string; comfort: 'none' | 'gentle' | 'too-much'; walked: boolean; pain?: number };
}

/** What the patient may change alone, as it was handed over. */
export interface HandedOver {
  entry: string;
  day: ClinicDay;
  within: Turn;
  everyDays: number;
  most: Turn;
}

type Correction = Extract<Setting, { kind: 'correction' }>;
type Made = Recorded<BodyIn<typeof settingMade>>;
type Turned = Recorded<BodyIn<typeof settingTurned>>;

const isTurned = (entry: Made | Turned): entry is Turned => entry.kind === settingTurned.kind;

/** Everything that was done to one setting, in the order of the record: turns are added up exactly. */
function entriesOf(record: LiveRecord, setting: Setting): (Made | Turned)[] {
  const ofIt = ({ body }: { body: { setting: string } }) => body.setting === setting.id;
  const made: (Made | Turned)[] = record.of(settingMade).filter(ofIt);
  if (setting.kind !== 'correction') return made;
  const turned = record.of(settingTurned).filter(ofIt);
  return [...made, ...turned].sort((a, b) => (record.isAfter(a, b) ? 1 : -1));
}

/**
 * A correction's ledger. What was set anew begins again at what it was set to; where nobody set it before it was turned, it
 * began at its origin.
 */
export function ledgerOf(record: LiveRecord, setting: Correction): LedgerLine[] {
  const places = placesAlong(setting.axes);
  const felt = record.of(settingFelt).filter(({ body }) => body.setting === setting.id);
  let stands: Record<string, Turn> = Object.fromEntries(places.map((place) => [place, noTurn]));
  const all = entriesOf(record, setting);
  // what is turned before anybody set it is counted from where it stood
  const before: SettingMade[] = all[0] && isTurned(all[0]) ? [{ values: asNumbers(stands) }] : [];
  return all.map((entry, i): LedgerLine => {
    const was = stands;
    const turns = isTurned(entry) ? entry.body.turns.map(({ place, n, d }) => ({ place, by: { n, d } })) : [];
    stands = isTurned(entry)
      ? turns.reduce((so, { place, by }) => ({ ...so, [place]: sumOfTurns(so[place] ?? noTurn, by) }), was)
      : {
          ...was,
          ...Object.fromEntries(
            (entry.body.values ?? []).flatMap(({ place, value }) =>
              value === null ? [] : [[place, turnOf(value)]],
            ),
          ),
        };
    const now: SettingMade = { values: asNumbers(stands) };
    const over = isTurned(entry) ? changeFault(setting, before, now)?.why : undefined;
    before.push(now);
    // what was felt before the next change was felt of this one
    const after = felt.findLast(
      (one) => record.isAfter(one, entry) && (i + 1 === all.length || !record.isAfter(one, all[i + 1])),
    );
    return {
      entry: entry.id,
      day: record.dayIn(entry),
      by: entry.by,
      what: isTurned(entry) ? 'turned' : 'set',
      turns,
      stands,
      reported: entry.body.reported === true,
      found: entry.body.found === true,
      ...(over ? { over } : {}),
      ...(isTurned(entry) && entry.body.inSpite !== undefined ? { inSpite: entry.body.inSpite } : {}),
      ...(after
        ? {
            felt: {
              entry: after.id,
              comfort: after.body.comfort as 'none' | 'gentle' | 'too-much',
              walked: after.body.walked,
              ...(after.body.pain === undefined ? {} : { pain: after.body.pain }),
            },
          }
        : {}),
    };
  });
}

const asNumbers = (stands: Record<string, Turn>): Record<string, number> =>
  Object.fromEntries(Object.entries(stands).map(([place, turn]) => [place, asNumber(turn)]));

/** Everything that was done to a setting, each with how it stood after it. */
export function doingsOf(record: LiveRecord, setting: Setting): Doing[] {
  if (setting.kind === 'correction')
    return ledgerOf(record, setting).map(({ entry, day, stands, found, reported }) => ({
      entry,
      day,
      made: { values: asNumbers(stands) },
      found,
      reported,
      given: false,
    }));
  return (entriesOf(record, setting) as Made[]).map((entry) => ({
    entry: entry.id,
    day: record.dayIn(entry),
    made: madeIn(entry.body),
    found: entry.body.found === true,
    reported: entry.body.reported === true,
    given: entry.body.given === true,
    ...(entry.body.everyDays === undefined ? {} : { everyDays: entry.body.everyDays }),
    ...(entry.body.because === undefined ? {} : { because: entry.body.because }),
  }));
}

/** What was handed over last; nothing where it was never. */
export function handedOver(record: LiveRecord, setting: Setting): HandedOver | undefined {
  const last = record.of(settingHandedOver).findLast(({ body }) => body.setting === setting.id);
  return (
    last && {
      entry: last.id,
      day: record.dayIn(last),
      within: last.body.within as Turn,
      everyDays: last.body.everyDays,
      most: last.body.most as Turn,
    }
  );
}

/** The most that one change may be from where it stands; undefined where none is stated: it is asked for. */
export function mostNow(setting: Correction, stands: Record<string, Turn>): Turn | undefined {
  const most = mostAtOnce(setting, Object.values(stands).map(asNumber));
  return most === undefined ? undefined : turnOf(most);
}

/** How far a place of a correction may go: within its range, and no further in all than it may from where that is counted. */
export function reachOf(
  { least, most, inAll = Infinity, origin }: Correction,
  ledger: readonly LedgerLine[],
  place: string,
): { from: number; to: number } {
  const first = ledger[0];
  // as supplied it is counted from what stood before the first turn
  const stood = first
    ? sumOfTurns(
        first.stands[place] ?? noTurn,
        ...first.turns.filter((one) => one.place === place).map(({ by }) => opposite(by)),
      )
    : noTurn;
  const counted = origin === 'neutral' ? 0 : asNumber(stood);
  return { from: Math.max(least, counted - inAll), to: Math.min(most, counted + inAll) };
}

/**
 * Why turning on from where a ledger stands is more than is allowed: `over-all`, further than it may go; `not-stated`, nobody
 * says how much the next change may be; `over-change`, more than that.
 */
export function turnFault(
  setting: Correction,
  ledger: readonly LedgerLine[],
  turns: readonly { place: string; by: Turn }[],
): 'over-all' | 'not-stated' | 'over-change' | undefined {
  const stands = ledger.at(-1)?.stands ?? {};
  const most = mostNow(setting, stands);
  const isBeyond = turns.some(({ place, by }) => {
    const at = asNumber(sumOfTurns(stands[place] ?? noTurn, by));
    const { from, to } = reachOf(setting, ledger, place);
    return at < from - hair || at > to + hair;
  });
  if (isBeyond) return 'over-all';
  if (!most) return 'not-stated';
  return turns.some(({ by }) => Math.abs(asNumber(by)) > asNumber(most) + hair) ? 'over-change' : undefined;
}

/** Whether the last change was too much and nothing was changed back since: the next step is one back. */
export const wasTooMuch = (ledger: readonly LedgerLine[]): boolean =>
  ledger.at(-1)?.felt?.comfort === 'too-much';
