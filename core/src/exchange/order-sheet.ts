import Papa from 'papaparse';
import { sidesFrom } from '../anatomy';
import type { ClinicDay } from '../calendar';
import { findingsOf, type CaseFinding } from '../findings';
import type { CaseState } from '../logbook';
import {
  inSight,
  isOfPerson,
  isReading,
  stepAt,
  unitOf,
  type MeasuringStep,
  type ReadingUnit,
} from '../measuring';
import { formula } from './csv-cell';

/** One line of the sheet a maker works from. */
export interface SheetLine {
  step: string;
  kind: MeasuringStep['kind'];
  side: 'left' | 'right' | 'midline';
  /** places it is read at or between, by landmark */
  landmarks: string[];
  /** from the landmark along the limb, mm; 0 where it is read at it */
  distance: number;
  /** the posture it was read in, by the posture or stance step; what was read of it */
  posture: string[];
  mean: number;
  unit: ReadingUnit;
  repeats: number;
  /** one standard uncertainty, in the unit */
  uncertainty: number;
  /** taken another way, with what that is */
  substitute: string;
}

export interface OrderSheet {
  /** format of this file */
  format: 'estribo-order-sheet';
  version: 2;
  case: string;
  model: { id: string; name: string; maker: string; version: number };
  family: string;
  side: 'left' | 'right' | 'midline';
  /** absent before a size is decided; null for made to measure */
  size?: string | null;
  height: string | null;
  lines: SheetLine[];
  /** readings left out, with the reason */
  left: { step: string; side: string; reason: string }[];
  /** findings of Measure, Size and the ordered side that are open on the day: by kind, and of what */
  open: { kind: string; about?: string }[];
}

/** What the maker has to wait for: findings of Measure, of Size and of the ordered side that are open on a day. */
export const openForMaker = (state: CaseState, day: ClinicDay): CaseFinding[] =>
  findingsOf(state, day).filter(
    ({ stage, kind }) => stage === 'measure' || stage === 'size' || kind === 'order-for-other-side',
  );

/**
 * The order sheet of a case: every reading with its landmark, posture and uncertainty. It holds no name:
 * the workshop writes it on the print.
 * @param day of the clinic, for what is still open or no longer holds
 */
export function orderSheet(state: CaseState, day: ClinicDay): OrderSheet {
  const { measuring, side, programme, model, sizing } = state;
  const places = measuring.steps.flatMap((step) =>
    (isOfPerson(step) ? (['midline'] as const) : sidesFrom(side)).flatMap((at) => {
      const found = stepAt(measuring.states, step.id, at);
      return found ? [found] : [];
    }),
  );
  const postures = (at: string) =>
    measuring.states.flatMap(({ step, side: where, stance, posture }) =>
      where !== at && where !== 'midline'
        ? []
        : stance
          ? [stance]
          : step.kind === 'posture' && posture
            ? [`${step.joint} ${posture.angle} deg`]
            : [],
    );
  return {
    format: 'estribo-order-sheet',
    version: 2,
    case: state.case,
    model: { id: model.id, name: model.name, maker: model.maker, version: model.version },
    family: programme.id,
    side,
    ...(sizing.chosen ? { size: sizing.chosen.decided.size ?? null } : {}),
    height: sizing.chosen?.decided.height ?? null,
    lines: places.flatMap((place): SheetLine[] => {
      const { step, side: at, substitute } = place;
      const assessed = inSight(place);
      return !isReading(step) || !assessed
        ? []
        : [
            {
              step: step.id,
              kind: step.kind,
              side: at,
              landmarks: ['from', 'to', 'at'].flatMap((field) => {
                const place = (step as unknown as Record<string, unknown>)[field];
                return typeof place === 'string' ? [place] : [];
              }),
              distance: step.kind === 'girth' ? step.distance : 0,
              posture: postures(at),
              mean: assessed.mean,
              unit: unitOf(step),
              repeats: assessed.values.length,
              uncertainty: assessed.uncertainty,
              substitute: substitute ?? '',
            },
          ];
    }),
    left: measuring.states.flatMap(({ step, side: at, skipped }) =>
      skipped ? [{ step: step.id, side: at, reason: skipped.reason }] : [],
    ),
    open: openForMaker(state, day).map(({ kind, about }) => ({
      kind,
      ...(about === undefined ? {} : { about }),
    })),
  };
}

const round = (value: number) => Math.round(value * 100) / 100;

/** The sheet's lines as CSV (RFC 4180), a header first; what is open stands beside each of them. */
export const orderSheetCsv = ({ lines, open }: OrderSheet): string =>
  Papa.unparse(
    lines.map((line) => ({
      ...line,
      open: open.map(({ kind }) => kind).join('; '),
      landmarks: line.landmarks.join(' to '),
      posture: line.posture.join(', '),
      mean: round(line.mean),
      uncertainty: round(line.uncertainty),
    })),
    { newline: '\r\n', escapeFormulae: formula },
  );
