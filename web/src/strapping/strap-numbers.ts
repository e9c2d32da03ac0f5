import { partsOfKind, type Part } from '@estribo/core/brace';
import { partsOfStep, type SequenceStep } from '@estribo/core/strapping';

/**
 * The numbers that straps are closed by where none stands printed on the brace: by their first place in the list. Numbers that
 * stand on a brace are never mixed with these.
 */
export function strapNumbers(
  parts: readonly Part[],
  steps: readonly SequenceStep[],
): Readonly<Record<string, string>> {
  const straps = partsOfKind(parts, 'strap');
  if (straps.some(({ mark }) => mark !== undefined)) return {};
  const inOrder = steps.flatMap((step) => (step.kind === 'strap' ? partsOfStep(step) : []));
  const first = [...new Set(inOrder)].filter((id) => straps.some((strap) => strap.id === id));
  return Object.fromEntries(first.map((id, i) => [id, String(i + 1)]));
}
