import { Input } from 'react-aria-components';
import styled from 'styled-components';
import { color } from '../look/tokens';

const Box = styled(Input)<{ $wide: boolean }>`
  width: ${({ $wide }) => ($wide ? '150px' : '92px')};
  min-height: 44px;
  border: 1px solid ${color('edge')};
  border-radius: 4px;
  padding: 4px 8px;
  background: ${color('sheet')};
  color: ${color('ink')};
  font: inherit;
  &[aria-invalid='true'] {
    border: 2px solid ${color('madder')};
  }
`;

/** A cell of a table that is typed in; what is wrong with it is told on touch, and beside the table. */
export function CellInput({
  label,
  value,
  onChange,
  problem,
  wide = false,
  placeholder,
  inputMode,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  problem?: string | undefined;
  wide?: boolean;
  placeholder?: string;
  inputMode?: 'decimal';
}) {
  return (
    <Box
      $wide={wide}
      aria-label={label}
      aria-invalid={problem !== undefined}
      title={problem}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      {...(placeholder === undefined ? {} : { placeholder })}
      {...(inputMode === undefined ? {} : { inputMode })}
    />
  );
}
