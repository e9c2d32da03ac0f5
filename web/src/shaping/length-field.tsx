import type { LengthUnit } from '@estribo/core/quantity';
import { ReadingField } from '../parts/reading-field';

/** A small field for a length in the shaping stage: a gap, a thickness, an offset. */
export function LengthField({
  label,
  unit,
  value,
  onChange,
  onEnter,
  problem,
  signed = false,
  minusSaid,
}: {
  label: string;
  unit: LengthUnit;
  value: string;
  onChange: (text: string) => void;
  onEnter?: () => void;
  problem?: string | undefined;
  /** to either side of a place */
  signed?: boolean;
  minusSaid?: (length: string) => string;
}) {
  return (
    <ReadingField
      small
      label={label}
      kind={signed ? 'distance' : 'length'}
      unit={unit}
      sign={unit}
      value={value}
      onChange={onChange}
      problem={problem}
      {...(onEnter ? { onEnter } : {})}
      {...(minusSaid ? { minusSaid } : {})}
    />
  );
}
