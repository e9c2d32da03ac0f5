import { ChevronRight } from 'lucide-react';
import { Button, Disclosure, DisclosurePanel, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { t } from '../messages';

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

const Panel = styled(DisclosurePanel)`
  font-size: ${size.small};
  color: ${color('soft')};
  & dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 16px;
  }
  & dt {
    color: ${color('ink')};
  }
`;

/** How a number came about: what went in, the rule, where the rule is from. */
export function Why({ rows }: { rows: readonly (readonly [string, React.ReactNode])[] }) {
  return (
    <Disclosure>
      <Head level={3}>
        <Trigger slot="trigger">
          <ChevronRight size={16} aria-hidden />
          {t('common.why')}
        </Trigger>
      </Head>
      <Panel>
        <dl>
          {rows.map(([term, said]) => (
            <div key={term} style={{ display: 'contents' }}>
              <dt>{term}</dt>
              <dd>{said}</dd>
            </div>
          ))}
        </dl>
      </Panel>
    </Disclosure>
  );
}
