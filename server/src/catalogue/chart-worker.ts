import { parentPort } from 'node:worker_threads';
import { modelsInCsv } from '@estribo/core/exchange';
import type { BraceModel, Programme } from '@estribo/core/programmes';
import { planCharts } from './chart-plan';

/** What the worker is asked: first which models a file is about, then what it would change. */
export type ChartQuestion =
  { ask: 'models'; csv: string } | { ask: 'plan'; csv: string; families: Programme[]; known: BraceModel[] };

parentPort!.on('message', (question: ChartQuestion) => {
  parentPort!.postMessage(
    question.ask === 'models'
      ? modelsInCsv(question.csv)
      : planCharts(question.csv, question.families, question.known),
  );
});
