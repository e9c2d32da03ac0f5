import { planBends, type BendChoice, type PlanRequest } from '@estribo/core/shaping';

/** What comes back while a plan is made, and when it is. */
export type PlanAnswer = { share: number } | { choices: BendChoice[] };

// off the page's thread: a bar by hand may take seconds
addEventListener('message', ({ data }: MessageEvent<PlanRequest>) => {
  const tell = (answer: PlanAnswer) => postMessage(answer);
  const choices = planBends(data.arms, data.limits, data.grid, { onProgress: (share) => tell({ share }) });
  tell({ choices });
});
