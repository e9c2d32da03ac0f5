import { formatTurn, madeIn, type Turn } from '@estribo/core/setting';
import { formatPhase } from '../screening/print-order';
import { limitedMotion } from '@estribo/core/programmes';
import type { Side } from '@estribo/core/anatomy';
import { isKind, type AnyRecordedEntry, type CaseState, type RecordLine } from '@estribo/core/logbook';
import { unitOf } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { formatNeutralZero } from '@estribo/core/measuring';
import { named, t } from '../messages';
import { checkWords, operationWords, partName, settingWords, stepWords } from '../messages/fitting';
import { checkOf, saidFound } from '../checking/found';
import {
  formatDay,
  formatDistance,
  formatFine,
  formatMinutes,
  formatReading,
  percent,
} from '../parts/format';
import { saidOfLimbs } from '../screening/limbs-felt';
import { barName } from '../shaping/bar-words';
import { formatWork } from '../shaping/format-work';
import { formatMade } from '../setting/format-setting';
import { unitOfAxis } from '../sizing/print-axis';

export interface Described {
  title: string;
  value?: string;
  rest?: string;
}

const sideOf = (side: Side): string => (side === 'midline' ? '' : named('side', side));

const listed = (...parts: (string | false | undefined)[]): string => parts.filter(Boolean).join(', ');

/**
 * A line of the record in words, short enough for one line of the screen.
 * @param nameOf a user's name
 */
export function describeEntry(
  { entry, status }: Pick<RecordLine, 'entry' | 'status'>,
  state: CaseState,
  unit: LengthUnit,
  nameOf: (user: string) => string = () => '',
): Described {
  return status === 'unreadable' || !isKind(entry.kind)
    ? { title: t('entry.unreadable'), rest: String(entry.kind) }
    : describe(entry, state, unit, nameOf);
}

/** What the server computed in the place of a decision that is not in force. */
export function describeOtherwise(entry: AnyRecordedEntry, state: CaseState, unit: LengthUnit): string {
  if (!entry.otherwise) return t('record.nothingComputed');
  const { value } = describe({ ...entry, body: entry.otherwise } as AnyRecordedEntry, state, unit);
  return value ?? '';
}

function describe(
  entry: AnyRecordedEntry,
  state: CaseState,
  unit: LengthUnit,
  nameOf: (user: string) => string = () => '',
): Described {
  switch (entry.kind) {
    case 'case.opened':
      return { title: t('entry.opened'), value: named('side', entry.body.side), rest: state.model.name };
    case 'case.moved':
      return {
        title: t('entry.moved'),
        value: t('versions.holds', {
          family: entry.body.programme.version,
          model: entry.body.model.version,
        }),
        rest: entry.body.reason,
      };
    case 'visit.planned':
      return {
        title: t('entry.visit'),
        value: listed(formatDay(entry.body.day), entry.body.time),
        rest: listed(named('purpose', entry.body.purpose), entry.body.note, entry.body.deskNote),
      };
    case 'case.closed':
      return {
        title: t('entry.closed'),
        value: named('closing', entry.body.because),
        rest: entry.body.note ?? '',
      };
    case 'case.reopened':
      return { title: t('entry.reopened'), rest: entry.body.note ?? '' };
    case 'case.handed-over':
      return { title: t('entry.handed'), value: nameOf(entry.body.to), rest: entry.body.note ?? '' };
    case 'case.noted':
      return { title: t('entry.noted'), rest: entry.body.text };
    case 'label.read':
      return {
        title: t('entry.labelRead'),
        value: listed(
          entry.body.serial && t('keeping.serialIs', { serial: entry.body.serial }),
          entry.body.lot && t('keeping.lotIs', { lot: entry.body.lot }),
        ),
      };
    case 'record.withdrawn':
      return { title: t('entry.withdrawn'), rest: entry.reason ?? '' };
    case 'screen.looked': {
      const present = entry.body.answers.filter(({ is }) => is !== 'absent');
      return {
        title: t('entry.looked'),
        rest:
          present.length === 0
            ? t('screening.nothingFound')
            : present
                .map(({ finding, is, known }) => {
                  const more = is === 'unable' ? t('screening.unable') : known ? t('entry.known') : '';
                  return more ? `${named('findings', finding)} (${more})` : named('findings', finding);
                })
                .join(', '),
      };
    }
    case 'limbs.noted':
      return {
        title: t('entry.limbs'),
        value: named('moment', entry.body.moment),
        rest: saidOfLimbs(entry.body.limbs) || t('entry.limbsFull'),
      };
    case 'circulation.noted': {
      const { left, right } = entry.body;
      return {
        title: t('circulation.title'),
        rest: `${named('side', 'left')}: ${named('pulse', left.pulse)}, ${named('side', 'right')}: ${named('pulse', right.pulse)}`,
      };
    }
    case 'call.made':
      return { title: t('entry.called'), value: entry.body.whom, rest: entry.body.said };
    case 'screen.overridden':
      return {
        title: t('entry.overridden'),
        value: named('findings', entry.body.finding),
        rest: entry.body.reason,
      };
    case 'order.given':
      return {
        title: t('entry.order'),
        value: formatPhase(entry.body, entry.body.phases[0]!, limitedMotion(state.programme)),
        rest: entry.body.diagnosis,
      };
    case 'measure.read': {
      const step = state.measuring.steps.find(({ id }) => id === entry.body.step);
      const shown = formatReading(entry.body.value, step ? unitOf(step) : 'mm', unit);
      const hidden = entry.stage === 'measure' && isHidden(entry.id, state);
      return {
        title: named('steps', entry.body.step),
        value: hidden ? t('measuring.outOfSight') : shown,
        rest: listed(
          sideOf(entry.body.side),
          entry.body.device,
          entry.body.questioned && t('entry.questioned'),
        ),
      };
    }
    case 'measure.marked':
      return {
        title: named('steps', entry.body.step),
        rest: listed(sideOf(entry.body.side), entry.body.stance && named('steps', entry.body.stance)),
      };
    case 'measure.skipped':
      return {
        title: named('steps', entry.body.step),
        value: entry.body.substitute ? named('substituted', entry.body.substitute) : t('entry.skipped'),
        rest: listed(sideOf(entry.body.side), entry.body.reason),
      };
    case 'measure.precision':
      return {
        title: t('entry.precision'),
        value: named('steps', entry.body.step),
        rest: t('entry.precisionPairs', { pairs: entry.body.pairs }),
      };
    case 'motion.tested':
      return {
        title: entry.body.step ? named('steps', entry.body.step) : t('entry.motion'),
        value: formatNeutralZero(entry.body),
        rest: listed(named('mode', entry.body.mode), sideOf(entry.body.side)),
      };
    case 'size.chosen':
      return {
        title: t('entry.size'),
        value: entry.body.size ?? t('sizing.madeToMeasure'),
        ...(entry.body.size === undefined
          ? {}
          : {
              rest:
                entry.body.margin === undefined || entry.body.decides === undefined
                  ? t('entry.oneSize')
                  : t('entry.sizeRest', {
                      percent: percent(entry.body.probability),
                      margin: formatReading(entry.body.margin, unitOfAxis(state, entry.body.decides), unit),
                    }),
            }),
      };
    case 'set.chosen':
    case 'set.made': {
      const { setting: id } = entry.body;
      const setting = state.programme.settings.find((one) => one.id === id);
      const { name } = settingWords(state.programme, id);
      return {
        title: entry.kind === 'set.chosen' ? t('entry.chosen', { what: name }) : name,
        ...(setting ? { value: formatMade(setting, madeIn(entry.body), unit) } : {}),
        rest:
          entry.kind === 'set.chosen'
            ? entry.body.phase === undefined
              ? ''
              : t('entry.phase', { phase: entry.body.phase + 1 })
            : entry.body.found
              ? t('entry.found')
              : entry.body.reported
                ? [
                    entry.body.everyDays === undefined
                      ? ''
                      : t('setting.toldEvery', { count: entry.body.everyDays }),
                    t('setting.byPatient'),
                  ]
                    .filter(Boolean)
                    .join(', ')
                : '',
      };
    }
    case 'order.changed':
      return {
        title: t(changeTitles[entry.body.what]),
        value: formatDay(entry.body.day),
        rest: listed(entry.body.prescriber, entry.body.reason),
      };
    case 'set.turned':
      return {
        title: t('entry.turned', { what: settingWords(state.programme, entry.body.setting).name }),
        value: entry.body.turns.map(({ n, d }) => formatTurn({ n, d })).join(' / '),
        rest: listed(
          entry.body.reported && t('setting.byPatient'),
          entry.body.found && t('entry.found'),
          entry.body.inSpite,
        ),
      };
    case 'set.felt':
      return {
        title: t('entry.felt', { what: settingWords(state.programme, entry.body.setting).name }),
        value: t(`setting.comfort.${entry.body.comfort}`),
        rest: entry.body.pain === undefined ? '' : t('entry.pain', { pain: entry.body.pain }),
      };
    case 'set.handed-over':
      return {
        title: t('entry.handedOver', { what: settingWords(state.programme, entry.body.setting).name }),
        value: formatTurn(entry.body.within as Turn),
      };
    case 'hinge.placed':
      return {
        title: t('entry.hinge'),
        value: t('entry.hingeAt', { above: formatDistance(entry.body.aboveJointLine, unit) }),
      };
    case 'shape.scar':
      return {
        title: t('entry.scar'),
        value: named('zone', entry.body.what),
        rest: `${named('face', entry.body.face)}, ${formatDistance(entry.body.from, unit)} – ${formatDistance(entry.body.to, unit)}`,
      };
    case 'shape.contour':
      return {
        title: t('entry.contour'),
        value: barName(state, entry.body.part),
        rest: listed(
          t('entry.stationsOf', { count: entry.body.points.length }),
          named('contourSource', entry.body.source),
        ),
      };
    case 'shape.bar-read':
      return {
        title: t('entry.barRead'),
        value: barName(state, entry.body.part),
        rest: entry.body.points
          .map(({ at, out }) => `${formatDistance(at, unit)}: ${formatFine(out, 'mm', unit)}`)
          .join(', '),
      };
    case 'shape.planned':
      return {
        title: t('entry.bendsPlanned'),
        value: barName(state, entry.body.part),
        rest: listed(
          t('entry.bendsOf', { count: entry.body.bends.length }),
          entry.body.purpose === 'contour' &&
            t('shaping.gapLeft', { gap: formatFine(entry.body.gap, 'mm', unit) }),
        ),
      };
    case 'shape.heat':
      return {
        title: t('entry.heat'),
        value: t(`entry.heatEvent.${entry.body.what}`),
        rest: listed(
          named('heatRun', entry.body.run),
          entry.body.stage && named('heatStage', entry.body.stage),
          entry.body.celsius !== undefined && `${entry.body.celsius} °C`,
          entry.body.because,
        ),
      };
    case 'shape.marked':
      return {
        title: t('entry.marked'),
        value: t(`shaping.markSaid.${entry.body.way}`, {
          amount: formatReading(entry.body.amount, 'mm', unit),
        }),
        rest: listed(
          partName(state.programme, entry.body.part),
          named('face', entry.body.face),
          entry.body.note,
        ),
      };
    case 'shape.looked':
      return {
        title: t('entry.markLooked'),
        value: t(entry.body.clear ? 'entry.markClear' : 'entry.markPresses'),
      };
    case 'work.done':
      return {
        title: operationWords(state.programme, entry.body.operation).name,
        value: formatWork(state, entry.body, unit),
        rest: listed(entry.body.inSpite, entry.body.because),
      };
    case 'strap.begun':
      return { title: t('entry.begun'), rest: entry.body.policy ? t('entry.policy') : '' };
    case 'strap.done':
      return {
        title: stepWords(state.programme, entry.body.step).name,
        ...(entry.body.minutes === undefined
          ? {}
          : { value: t('common.minutes', { count: entry.body.minutes }) }),
        rest: listed(
          entry.body.pass === 2 && t('strapping.secondPass'),
          entry.body.outOfOrder && t('strapping.outOfOrder'),
          entry.body.alike && t('entry.alike'),
        ),
      };
    case 'strap.lost':
      return {
        title: t('entry.lost'),
        value: stepWords(state.programme, entry.body.step).name,
        rest: entry.body.note ?? '',
      };
    case 'strap.tension':
      return {
        title: t('entry.tension', { strap: partName(state.programme, entry.body.part) }),
        value: `${entry.body.newtons} N`,
        rest: entry.body.from === 'gauge' ? t('entry.gauge') : '',
      };
    case 'check.recorded': {
      const check = checkOf(state, entry.body.check);
      const amount = (value: number) =>
        check ? saidFound(state.programme, check, value, unit) : String(value);
      return {
        title: entry.body.moment
          ? t('checking.at', {
              check: checkWords(state.programme, entry.body.check).name,
              moment: named('checkMoment', entry.body.moment),
            })
          : checkWords(state.programme, entry.body.check).name,
        value:
          entry.body.seen !== undefined
            ? entry.body.seen
              ? t('common.yes')
              : t('common.no')
            : entry.body.notReached
              ? t('checking.notReached')
              : amount(entry.body.value!),
        ...(entry.body.reference === undefined ? {} : { rest: amount(entry.body.reference) }),
      };
    }
    case 'check.signed':
      return {
        title: t('entry.signed'),
        value: named('result', entry.body.result),
        rest: (entry.body.shown ?? []).map((one) => t(`checking.shown.${one}`)).join(', '),
      };
    case 'wear.planned':
      return {
        title: t('entry.wear'),
        value:
          entry.body.kind === 'growing'
            ? `${entry.body.firstDay} → ${entry.body.ceiling} min`
            : t('wearing.asOrdered'),
      };
    case 'wear.taught':
      return {
        title: t('entry.taught'),
        rest: listed(named('who', entry.body.who), entry.body.how && t(`wearing.how.${entry.body.how}`)),
      };
    case 'wear.told':
      return {
        title: t('entry.told'),
        value: formatDay(entry.body.day),
        rest: listed(
          formatMinutes(entry.body.minutes),
          t(`wearing.skin.${entry.body.skin}`),
          t(`wearing.pain.${entry.body.pain}`),
          entry.body.note,
        ),
      };
    case 'wear.read':
      return {
        title: t('entry.wornRead', { count: entry.body.days.length }),
        value: t(`wearing.readFrom.${entry.body.from}`),
      };
    case 'letter.sent':
      return {
        title: t('entry.letter'),
        value: entry.body.to,
        rest: t(`letter.how.${entry.body.how}`),
      };
    case 'review.found':
      return {
        title: t('entry.review'),
        value: t('entry.pain', { pain: entry.body.pain }),
        rest: [named('skin', entry.body.skin), entry.body.by ? t('reviewing.byTelephone') : '']
          .filter(Boolean)
          .join(', '),
      };
  }
}

const changeTitles = {
  held: 'entry.orderHeld',
  resumed: 'entry.orderResumed',
  moved: 'entry.orderMoved',
} as const;

/** A first reading stays out of sight until the second is in. */
function isHidden(entry: string, state: CaseState): boolean {
  return state.measuring.states.some(
    ({ readings, assessed }) =>
      assessed?.needs === 'second' && readings.some((reading) => reading.entry === entry),
  );
}
