import type { BendChoice, planRequest, PlanRequest } from '@estribo/core/shaping';
import { useEffect, useRef, useState } from 'react';
import { useSteady } from '../parts/use-steady';
import type { PlanAnswer } from './bend-plan.worker';
import { newPlanWorker } from './new-plan-worker';

export type BendPlanning =
  | { step: 'none' }
  | { step: 'running'; share: number; cancel: () => void }
  | { step: 'cancelled'; again: () => void }
  | { step: 'failed'; again: () => void }
  | { step: 'done'; request: PlanRequest; choices: BendChoice[] };

type Told =
  | { step: 'running'; share: number }
  | { step: 'cancelled' }
  | { step: 'failed' }
  | { step: 'done'; choices: BendChoice[] };

/**
 * The optimal bends of a bar by their number, planned in a worker as soon as there is something to plan from; a change of the bar or
 * its contour begins anew.
 * @param asked what is planned from, undefined while nothing is wanted
 */
export function useBendPlan(asked: ReturnType<typeof planRequest> | undefined): BendPlanning {
  const request = useSteady(asked?.ok ? asked.request : undefined);
  const [round, setRound] = useState(0);
  const at = useRef<Worker>(undefined);
  const [told, tell] = useState<{ of: PlanRequest; round: number; told: Told }>();
  useEffect(() => {
    if (!request) return;
    const worker = newPlanWorker();
    const say = (one: Told) => tell({ of: request, round, told: one });
    worker.addEventListener('message', ({ data }: MessageEvent<PlanAnswer>) =>
      say(
        'choices' in data ? { step: 'done', choices: data.choices } : { step: 'running', share: data.share },
      ),
    );
    worker.addEventListener('error', () => say({ step: 'failed' }));
    worker.postMessage(request);
    at.current = worker;
    return () => worker.terminate();
  }, [request, round]);
  if (!request) return { step: 'none' };
  const now: Told =
    told && told.of === request && told.round === round ? told.told : { step: 'running', share: 0 };
  const again = () => setRound(round + 1);
  switch (now.step) {
    case 'running':
      return {
        ...now,
        cancel: () => {
          at.current?.terminate();
          tell({ of: request, round, told: { step: 'cancelled' } });
        },
      };
    case 'done':
      return { ...now, request };
    default:
      return { ...now, again };
  }
}
