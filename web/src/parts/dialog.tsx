import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(20 16 12 / 55%);
  display: grid;
  place-items: center;
  padding: 16px;
  z-index: 10;
`;

const Floating = styled(Modal)`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  box-shadow: 0 12px 40px rgb(0 0 0 / 35%);
  width: min(560px, 100%);
  max-height: calc(100vh - 32px);
  overflow: auto;
`;

const Body = styled(AriaDialog)`
  padding: 24px;
  outline: none;
  display: flex;
  flex-direction: column;
  gap: 16px;
`;

const Title = styled(Heading)`
  font-size: ${size.lead};
`;

/** A question that stands over the screen until it is answered or closed with Escape. */
export function Dialog({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: React.ReactNode;
}) {
  return (
    <Veil isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Floating>
        <Body>
          <Title slot="title">{title}</Title>
          {children}
        </Body>
      </Floating>
    </Veil>
  );
}
