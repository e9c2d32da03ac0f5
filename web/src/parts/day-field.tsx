import { parseDate } from '@internationalized/date';
import type { ClinicDay } from '@estribo/core/calendar';
import { DateField, DateInput, DateSegment, Label } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { fieldBox, FieldProblem } from './field';

const Frame = styled(DateField)`
  display: flex;
  flex-direction: column;
  align-self: flex-start;
  gap: 4px;
`;

const Name = styled(Label)`
  font-size: ${size.small};
  color: ${color('soft')};
`;

/** Where a day or a time is typed in parts. */
export const PartsBox = styled(DateInput)`
  ${fieldBox}
  display: inline-flex;
  align-items: center;
  min-width: 150px;
`;

/** One of the parts. */
export const Part = styled(DateSegment)`
  padding: 2px 3px;
  border-radius: 2px;
  caret-color: transparent;
  &[data-placeholder] {
    color: ${color('soft')};
  }
  &[data-focused] {
    background: ${color('river')};
    color: ${color('onRiver')};
    outline: none;
  }
`;

/** A day of the clinic, typed in parts. */
export function DayField({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value: ClinicDay | undefined;
  onChange: (day: ClinicDay | undefined) => void;
  problem?: string | undefined;
}) {
  return (
    <Frame
      value={value ? parseDate(value) : null}
      onChange={(date) => onChange(date?.toString())}
      isInvalid={problem !== undefined}
      shouldForceLeadingZeros
    >
      <Name>{label}</Name>
      <PartsBox>{(segment) => <Part segment={segment} />}</PartsBox>
      <FieldProblem>{problem}</FieldProblem>
    </Frame>
  );
}
