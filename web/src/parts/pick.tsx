import { ChevronDown } from 'lucide-react';
import { Button, ListBox, ListBoxItem, Popover, Select, SelectValue } from 'react-aria-components';
import styled from 'styled-components';
import { color } from '../look/tokens';
import { t } from '../messages';
import { fieldBox, FieldLabel } from './field';

const Frame = styled(Select)`
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-width: 240px;
`;

const Closed = styled(Button)`
  ${fieldBox}
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  cursor: pointer;
`;

const Open = styled(Popover)`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  overflow: auto;
  min-width: var(--trigger-width);
`;

const One = styled(ListBoxItem)`
  padding: 10px 14px;
  min-height: 44px;
  cursor: pointer;
  outline: none;
  &[data-selected] {
    font-weight: 700;
  }
  &[data-focused] {
    background: ${color('riverWash')};
  }
`;

/** One of many, in a list that opens. */
export function Pick({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
}: {
  label: string;
  options: readonly { value: string; label: string }[];
  value: string;
  onChange: (value: string) => void;
  hideLabel?: boolean;
}) {
  return (
    <Frame
      placeholder={t('common.pick')}
      value={value}
      onChange={(chosen) => onChange(String(chosen ?? ''))}
      {...(hideLabel ? { 'aria-label': label, style: { minWidth: 0 } } : {})}
    >
      {!hideLabel && <FieldLabel>{label}</FieldLabel>}
      <Closed>
        <SelectValue />
        <ChevronDown size={18} aria-hidden />
      </Closed>
      <Open>
        <ListBox>
          {options.map((option) => (
            <One key={option.value} id={option.value} textValue={option.label}>
              {option.label}
            </One>
          ))}
        </ListBox>
      </Open>
    </Frame>
  );
}
