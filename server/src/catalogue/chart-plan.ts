import { chartChanges, chartsFromCsv, type ChartChange, type ChartFault } from '@estribo/core/exchange';
import { contentHash, pinOf, type BraceModel, type Pin, type Programme } from '@estribo/core/programmes';

/** What a chart file would change of the catalogue. */
export type ChartPlan =
  | { ok: false; faults: ChartFault[] }
  | {
      ok: true;
      /** models that say something else than before; what says the same gets no new version */
      changed: (Pin & { name: string; changes: ChartChange[] })[];
      models: BraceModel[];
      unchanged: number;
    };

/**
 * Reads a chart file against what is known. Pure, and long for a large file: it runs in a worker.
 * @param known the newest version of each model that the file names
 */
export function planCharts(
  csv: string,
  families: readonly Programme[],
  known: readonly BraceModel[],
): ChartPlan {
  const read = chartsFromCsv(csv, families, known);
  if (!read.ok) return read;
  const before = new Map(known.map((model) => [model.id, model]));
  const familyOf = new Map(families.map((family) => [family.id, family]));
  const models = read.models.filter((model) => {
    const old = before.get(model.id);
    return !old || !sameContent(old, model);
  });
  return {
    ok: true,
    models,
    changed: models.map((model) => ({
      ...pinOf(model),
      name: model.name,
      changes: chartChanges(before.get(model.id), model, familyOf.get(model.programme)!),
    })),
    unchanged: read.models.length - models.length,
  };
}

/** The same but for its versions. */
function sameContent(before: BraceModel, now: BraceModel): boolean {
  const bare = (model: BraceModel) =>
    contentHash({ ...model, version: 1, chart: { ...model.chart, version: 1 } });
  return bare({ sided: false, ...before }) === bare({ sided: false, ...now });
}
