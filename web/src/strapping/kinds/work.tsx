import { useWork } from '../../case/case-context';
import { screenOf } from '../../shaping/kinds/all';
import type { StepOf, StepScreen } from './piece';

/** The operation that a step names, with its own piece. */
function WorkInStep({ step }: { step: StepOf<'work'> }) {
  const { state } = useWork();
  const work = state.shaping.work.find(({ operation }) => operation.id === step.operation);
  if (!work) return null;
  const { Piece } = screenOf(work.operation);
  return <Piece work={work} stage="strap" />;
}

export const work: StepScreen<StepOf<'work'>> = { Extra: WorkInStep };
