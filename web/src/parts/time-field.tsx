import { parseTime } from '@internationalized/date';
import { DateInput, DateSegment, TimeField as AriaTimeField } from 'react-aria-components';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { fieldBox, FieldLabel, FieldProblem } from './field';

const Frame = styled(AriaTimeField)`
  display: flex;
  flex-direction: column;
  align-self: flex-start;
  gap: 4px;
`;

const Box = styled(DateInput)`
  ${fieldBox}
  display: inline-flex;
  align-items: center;
  min-width: 110px;
`;

const Segment = styled(DateSegment)`
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

/** A time of the clinic's clock, HH:MM, typed in parts; empty where there is none. */
export function TimeField({
  label,
  value,
  onChange,
  problem,
}: {
  label: string;
  value: string | undefined;
  onChange: (time: string | undefined) => void;
  problem?: string | undefined;
}) {
  return (
    <Frame
      value={value ? parseTime(value) : null}
      onChange={(time) => onChange(time?.toString().slice(0, 5))}
      isInvalid={problem !== undefined}
      hourCycle={24}
      shouldForceLeadingZeros
    >
      <FieldLabel>{label}</FieldLabel>
      <Box>{(segment) => <Segment segment={segment} />}</Box>
      <FieldProblem>{problem}</FieldProblem>
    </Frame>
  );
}
