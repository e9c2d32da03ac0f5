import type { LengthUnit } from '@estribo/core/quantity';
import styled from 'styled-components';
import { ReadingField } from '../parts/reading-field';

/** Fields for many places, as many beside each other as there is room for. */
export const PlaceFields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(152px, 1fr));
  gap: 10px 12px;
`;

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
