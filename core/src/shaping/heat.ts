import type { LiveRecord } from '../record';
import { coolingFrom, type Cooling } from './cooling';
import { heatWent } from './entries';
import { heatRun, type HeatRun, type HeatStage } from './heat-runs';

/** A run of heat as it stands. */
export interface HeatNow {
  entry: string;
  operation: string;
  part: string;
  run: HeatRun;
  stage: HeatStage;
  /** ISO instants: of the stage, of the heat's start, of the end of the heat */
  stageSince: string;
  heatSince?: string | undefined;
  heatEnded?: string | undefined;
  /** paused since; and ms that pauses before it took from this stage and from the heat */
  pausedSince?: string | undefined;
  pausedInStage: number;
  pausedInHeat: number;
  readings: { at: string; celsius: number }[];
  room?: number | undefined;
  cooling: Cooling;
  feels?: boolean | undefined;
  ended?: { at: string; wrong?: string | undefined } | undefined;
  /** every stage with when it began */
  times: { stage: string; at: string }[];
}

/** Runs of heat by the entries that began them: a clock that a reload or a sleeping page cannot put wrong. */
export function foldHeat(record: LiveRecord): HeatNow[] {
  const runs: HeatNow[] = [];
  for (const { id, observedAt: at, body } of record.of(heatWent)) {
    const run = heatRun(body.run);
    if (body.what === 'begun') {
      if (!run) continue;
      runs.push({
        entry: id,
        operation: body.operation,
        part: body.part,
        run,
        stage: run.stages[0]!,
        stageSince: at,
        pausedInStage: 0,
        pausedInHeat: 0,
        readings: [],
        room: body.room,
        cooling: { known: false, why: 'no-readings' },
        feels: body.feels,
        times: [{ stage: run.stages[0]!.id, at }],
      });
      continue;
    }
    const now = runs.find(({ entry }) => entry === body.of);
    if (!now || now.ended) continue;
    const resume = () => {
      if (now.pausedSince === undefined) return;
      const took = Math.max(0, Date.parse(at) - Date.parse(now.pausedSince));
      now.pausedInStage += took;
      if (now.heatSince !== undefined && now.heatEnded === undefined) now.pausedInHeat += took;
      now.pausedSince = undefined;
    };
    switch (body.what) {
      case 'stage': {
        const stage = now.run.stages.find((one) => one.id === body.stage);
        if (!stage) break;
        resume();
        // off the body, the heat has ended with the stage that follows the one it started in
        if (now.stage.starts && now.run.heated === 'off-body') now.heatEnded = at;
        now.stage = stage;
        now.stageSince = at;
        now.pausedInStage = 0;
        if (stage.starts) now.heatSince = at;
        now.times.push({ stage: stage.id, at });
        break;
      }
      case 'read':
        if (body.celsius !== undefined) now.readings.push({ at, celsius: body.celsius });
        break;
      case 'paused':
        now.pausedSince ??= at;
        break;
      case 'resumed':
        resume();
        break;
      case 'wrong':
        now.ended = { at, wrong: body.because ?? '' };
        break;
      case 'ended':
        now.ended = { at };
    }
  }
  for (const now of runs)
    now.cooling = coolingFrom(
      now.readings.map(({ at, celsius }) => ({ seconds: Date.parse(at) / 1000, celsius })),
      now.room,
    );
  return runs;
}

/**
 * The clock of a stage at an instant: how long it has run, what is left of it at least and at most; s. It is computed from when
 * the stage began, so nothing that sleeps between can put it wrong.
 */
export function heatClock(
  now: HeatNow,
  instant: number,
): { ran: number; toLeast: number | undefined; toMost: number | undefined } {
  const from = now.stage.fromStart && now.heatSince ? now.heatSince : now.stageSince;
  const paused = now.stage.fromStart && now.heatSince ? now.pausedInHeat : now.pausedInStage;
  const until = now.pausedSince === undefined ? instant : Date.parse(now.pausedSince);
  const ran = Math.max(0, (until - Date.parse(from) - paused) / 1000);
  const left = (end: number | undefined) => (end === undefined ? undefined : end - ran);
  return { ran, toLeast: left(now.stage.least), toMost: left(now.stage.most) };
}
