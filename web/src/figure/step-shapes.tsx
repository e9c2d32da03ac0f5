import type { DrawnStep, Shape } from '@estribo/core/drawing';
import { color } from '../look/tokens';
import { pathOf } from './drawing';

const inks = { now: 'river', done: 'saddle', ahead: 'edge' } as const;
const inkOf = ({ state, strong }: DrawnStep) => color(strong ? 'river' : inks[state]);

/** Measuring steps where they are read; what is asked for now lies on top. */
export function StepShapes({
  steps,
  onSelect,
}: {
  steps: readonly DrawnStep[];
  onSelect?: ((id: string) => void) | undefined;
}) {
  return (
    <g aria-hidden>
      {[...steps]
        .sort((a, b) => Number(a.strong) - Number(b.strong))
        .map((step) => (
          <g
            key={step.id}
            className={step.strong ? 'strong' : undefined}
            {...(onSelect ? { 'data-touch': true, onClick: () => onSelect(step.id) } : {})}
          >
            {step.shapes.map((shape, i) => (
              <OneShape key={i} shape={shape} step={step} />
            ))}
          </g>
        ))}
    </g>
  );
}

function OneShape({ shape: { kind, points }, step }: { shape: Shape; step: DrawnStep }) {
  const ink = inkOf(step);
  switch (kind) {
    case 'area':
      return (
        <path
          d={pathOf(points, true)}
          fill={step.state === 'ahead' && !step.strong ? color('sheet') : ink}
          stroke={ink}
          strokeWidth={1}
          opacity={step.strong ? 1 : 0.6}
        />
      );
    case 'way':
      return (
        <g fill="none" strokeLinecap="round">
          <path
            d={pathOf(points)}
            stroke={ink}
            strokeWidth={step.strong ? 5 : 2.5}
            opacity={step.strong ? 1 : 0.6}
          />
          {step.strong && (
            <path d={pathOf(points)} strokeWidth={1.2} stroke={color('sheet')} strokeDasharray="1 5" />
          )}
        </g>
      );
    case 'pen':
      return <path d={pathOf(points)} fill="none" stroke={color('madder')} strokeWidth={2.4} />;
    case 'ring':
      return (
        <path
          d={pathOf(points)}
          fill={step.strong ? 'none' : color('sheet')}
          stroke={ink}
          strokeWidth={step.strong ? 2 : 1.4}
        />
      );
    default:
      return <path className={kind} d={pathOf(points)} stroke={ink} />;
  }
}
