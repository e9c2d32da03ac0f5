import { parseTime } from '@internationalized/date';
import { TimeField as AriaTimeField } from 'react-aria-components';
import styled from 'styled-components';
import { Part, PartsBox } from './day-field';
import { FieldLabel, FieldProblem } from './field';

const Frame = styled(AriaTimeField)`
  display: flex;
  flex-direction: column;
  align-self: flex-start;
  gap: 4px;
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
      <PartsBox>{(segment) => <Part segment={segment} />}</PartsBox>
      <FieldProblem>{problem}</FieldProblem>
    </Frame>
  );
}
