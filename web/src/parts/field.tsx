import {
  FieldError,
  Input,
  Label,
  Text,
  TextArea,
  TextField,
  type TextFieldProps,
} from 'react-aria-components';
import styled, { css } from 'styled-components';
import { color, size } from '../look/tokens';

const box = css`
  min-height: 44px;
  padding: 8px 12px;
  border: 1px solid ${color('edge')};
  border-radius: 4px;
  background: ${color('sheet')};
  color: ${color('ink')};
  width: 100%;
  &[data-invalid] {
    border: 2px solid ${color('madder')};
  }
  &::placeholder {
    color: ${color('soft')};
  }
`;

export const fieldBox = box;

export const FieldFrame = styled(TextField)`
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 0;
`;

export const FieldLabel = styled(Label)`
  font-size: ${size.small};
  color: ${color('soft')};
`;

export const FieldHelp = styled(Text)`
  font-size: ${size.small};
  color: ${color('soft')};
`;

export const FieldProblem = styled(FieldError)`
  font-size: ${size.small};
  font-weight: 700;
  color: ${color('madder')};
`;

const Line = styled(Input)`
  ${box}
`;

const Lines = styled(TextArea)`
  ${box}
  resize: vertical;
`;

/** A text field with its label, help and problem. */
export function Field({
  label,
  help,
  problem,
  lines,
  placeholder,
  width,
  inputRef,
  ...rest
}: TextFieldProps & {
  label: string;
  help?: string | undefined;
  problem?: string | undefined;
  /** more than one line */
  lines?: number;
  placeholder?: string;
  width?: string;
  inputRef?: React.Ref<HTMLInputElement>;
}) {
  return (
    <FieldFrame {...rest} isInvalid={problem !== undefined} style={width ? { width } : undefined}>
      <FieldLabel>{label}</FieldLabel>
      {lines ? (
        <Lines rows={lines} placeholder={placeholder} />
      ) : (
        <Line ref={inputRef} placeholder={placeholder} />
      )}
      {help && <FieldHelp slot="description">{help}</FieldHelp>}
      <FieldProblem>{problem}</FieldProblem>
    </FieldFrame>
  );
}
