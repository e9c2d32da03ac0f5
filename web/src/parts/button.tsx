import { Button as AriaButton, type ButtonProps } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Base = styled(AriaButton)<{ $look: Look; $wide: boolean }>`
  min-height: 44px;
  padding: 8px 18px;
  border-radius: 4px;
  font-weight: 700;
  font-size: ${size.text};
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 10px;
  width: ${({ $wide }) => ($wide ? '100%' : 'auto')};
  border: 1px solid
    ${({ $look }) => ($look === 'stop' ? color('madder') : $look === 'quiet' ? 'transparent' : color('river'))};
  background: ${({ $look }) => ($look === 'main' ? color('river') : $look === 'stop' ? color('madderWash') : $look === 'quiet' ? 'transparent' : color('sheet'))};
  color: ${({ $look }) => ($look === 'main' ? color('onRiver') : $look === 'stop' ? color('madder') : color('river'))};
  &[data-hovered] {
    background: ${({ $look }) => ($look === 'main' ? color('riverDeep') : color('riverWash'))};
  }
  &[data-disabled] {
    cursor: default;
    border-color: ${color('line')};
    background: ${color('band')};
    color: ${color('soft')};
  }
  @media print {
    display: none;
  }
`;

const KeyCap = styled.kbd`
  font: inherit;
  font-size: ${size.small};
  border: 1px solid currentColor;
  border-radius: 3px;
  padding: 0 6px;
  line-height: 20px;
`;

type Look = 'main' | 'second' | 'quiet' | 'stop';

/** A button; the key that does the same is lettered on it. */
export function Button({
  look = 'second',
  wide = false,
  keycap,
  children,
  ...rest
}: Omit<ButtonProps, 'children'> & {
  look?: Look;
  wide?: boolean;
  keycap?: string;
  children: React.ReactNode;
}) {
  return (
    <Base {...rest} data-look={look} $look={look} $wide={wide}>
      {children}
      {keycap && <KeyCap aria-hidden>{keycap}</KeyCap>}
    </Base>
  );
}

/** A square button with a picture, named for those who do not see it. */
export const IconButton = styled(AriaButton)`
  width: 44px;
  height: 44px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: transparent;
  color: ${color('soft')};
  cursor: pointer;
  display: inline-grid;
  place-items: center;
  &[data-hovered] {
    background: ${color('band')};
    color: ${color('ink')};
  }
  &[data-disabled] {
    opacity: 0.4;
    cursor: default;
  }
  @media print {
    display: none;
  }
`;
