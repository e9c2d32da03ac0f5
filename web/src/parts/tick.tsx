import { Check } from 'lucide-react';
import { Checkbox, type CheckboxProps } from 'react-aria-components';
import styled from 'styled-components';
import { color } from '../look/tokens';

const Box = styled(Checkbox)`
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 10px;
  cursor: pointer;
  & > [data-box] {
    flex: none;
    width: 24px;
    height: 24px;
    border: 2px solid ${color('edge')};
    border-radius: 4px;
    background: ${color('sheet')};
    display: grid;
    place-items: center;
    color: transparent;
  }
  &[data-selected] > [data-box] {
    background: ${color('river')};
    border-color: ${color('river')};
    color: ${color('onRiver')};
  }
  &[data-focus-visible] {
    outline: none;
  }
  &[data-focus-visible] > [data-box] {
    outline: 3px solid ${color('river')};
    outline-offset: 2px;
  }
`;

/** A tick box with its sentence. */
export function Tick({ children, ...rest }: Omit<CheckboxProps, 'children'> & { children: React.ReactNode }) {
  return (
    <Box {...rest}>
      <span data-box aria-hidden>
        <Check size={18} strokeWidth={3} />
      </span>
      <span>{children}</span>
    </Box>
  );
}
