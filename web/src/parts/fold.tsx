import { ChevronRight } from 'lucide-react';
import type { ReactNode } from 'react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';

const Head = styled(Heading)`
  font-size: ${size.small};
  font-weight: 400;
`;

const Trigger = styled(Button)`
  min-height: 44px;
  border: 0;
  padding: 4px 4px 4px 0;
  background: none;
  color: ${color('river')};
  cursor: pointer;
  display: inline-flex;
  align-items: center;
  gap: 4px;
  text-decoration: underline;
  text-underline-offset: 3px;
  & svg {
    transition: transform 120ms;
  }
  &[aria-expanded='true'] svg {
    transform: rotate(90deg);
  }
`;

/** Something that is opened when it is wanted; closed, it is not drawn. */
export function Fold({
  title,
  isOpen,
  onOpen,
  className,
  children,
}: {
  title: string;
  /** held open or closed from outside */
  isOpen?: boolean;
  onOpen?: (open: boolean) => void;
  className?: string;
  children: ReactNode;
}) {
  return (
    <Disclosure
      className={className ?? ''}
      {...(isOpen === undefined ? {} : { isExpanded: isOpen })}
      {...(onOpen ? { onExpandedChange: onOpen } : {})}
    >
      {({ isExpanded }) => (
        <>
          <Head level={3}>
            <Trigger slot="trigger">
              <ChevronRight size={16} aria-hidden />
              {title}
            </Trigger>
          </Head>
          <DisclosurePanel>{isExpanded && children}</DisclosurePanel>
        </>
      )}
    </Disclosure>
  );
}
