import { FieldError, Label, Radio, RadioGroup, type RadioGroupProps } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Group = styled(RadioGroup)`
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 0;
`;

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
`;

const Option = styled(Radio)<{ $tight: boolean }>`
  min-height: 44px;
  padding: 8px ${({ $tight }) => ($tight ? '7px' : '14px')};
  border: 1px solid ${color('edge')};
  margin-right: -1px;
  background: ${color('sheet')};
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  gap: ${({ $tight }) => ($tight ? '5px' : '8px')};
  &:first-child {
    border-radius: 4px 0 0 4px;
  }
  &:last-child {
    border-radius: 0 4px 4px 0;
  }
  &:only-child {
    border-radius: 4px;
  }
  /* a filled hole in the strap: told by form, not by colour alone */
  &::before {
    content: '';
    width: 12px;
    height: 12px;
    border-radius: 50%;
    border: 2px solid ${color('edge')};
  }
  &[data-selected] {
    background: ${color('riverWash')};
    border-color: ${color('river')};
    font-weight: 700;
    z-index: 1;
  }
  &[data-selected]::before {
    border-color: ${color('river')};
    background: ${color('river')};
    box-shadow: inset 0 0 0 2px ${color('sheet')};
  }
  &[data-disabled] {
    color: ${color('soft')};
    cursor: default;
  }
`;

const GroupLabel = styled(Label)`
  font-size: ${size.small};
  color: ${color('soft')};
`;

const Problem = styled(FieldError)`
  color: ${color('madder')};
  font-weight: 700;
  font-size: ${size.small};
`;

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
  problem,
  ...rest
}: Omit<RadioGroupProps, 'value' | 'onChange' | 'children'> & {
  label: string;
  options: readonly { value: T; label: string }[];
  value: T | undefined;
  onChange: (value: T) => void;
  hideLabel?: boolean;
  problem?: string | undefined;
}) {
  return (
    <Group
      {...rest}
      orientation="horizontal"
      isInvalid={problem !== undefined}
      value={value ?? null}
      onChange={(chosen) => onChange(chosen as T)}
      {...(hideLabel ? { 'aria-label': label } : {})}
    >
      {!hideLabel && <GroupLabel>{label}</GroupLabel>}
      <Options>
        {options.map((option) => (
          <Option key={option.value} value={option.value} $tight={options.length > 8}>
            {option.label}
          </Option>
        ))}
      </Options>
      <Problem>{problem}</Problem>
    </Group>
  );
}
