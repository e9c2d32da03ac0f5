import styled from 'styled-components';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { Fold } from './fold';

const Rows = styled.dl`
  font-size: ${size.small};
  color: ${color('soft')};
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 4px 16px;
  & dt {
    color: ${color('ink')};
  }
`;

/** How a number came about: what went in, the rule, where the rule is from. */
export function Why({ rows }: { rows: readonly (readonly [string, React.ReactNode])[] }) {
  return (
    <Fold title={t('common.why')}>
      <Rows>
        {rows.map(([term, said]) => (
          <div key={term} style={{ display: 'contents' }}>
            <dt>{term}</dt>
            <dd>{said}</dd>
          </div>
        ))}
      </Rows>
    </Fold>
  );
}
