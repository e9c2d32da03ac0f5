import type { ListedModel } from '@estribo/core/answers';
import {
  Cell,
  Column,
  Row,
  Table,
  TableBody,
  TableHeader,
  TableLayout,
  TableLoadMoreItem,
  Virtualizer,
  type ColumnProps,
} from 'react-aria-components';
import { Link } from 'react-router';
import styled from 'styled-components';
import { color, narrow as onPhone, size } from '../look/tokens';
import { t } from '../messages';
import { useNarrow } from '../parts/use-narrow';

const rowHeight = 48;

const Scrolled = styled(Table)`
  display: block;
  height: calc(100vh - 330px);
  min-height: 220px;
  overflow: auto;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & [role='row'] {
    box-sizing: border-box;
    height: 100%;
    border-bottom: 1px solid ${color('line')};
  }
  & [role='columnheader'],
  & [role='gridcell'],
  & [role='rowheader'] {
    box-sizing: border-box;
    padding: 2px 12px;
    height: 100%;
    min-height: ${rowHeight}px;
    display: flex;
    align-items: center;
    overflow-wrap: anywhere;
  }
  ${onPhone} {
    & [role='columnheader'],
    & [role='gridcell'],
    & [role='rowheader'] {
      padding: 2px 6px;
    }
  }
  & [role='columnheader'] {
    font-size: ${size.small};
    color: ${color('soft')};
    background: ${color('sheet')};
    border-bottom: 1px solid ${color('line')};
  }
  & [data-focus-visible] {
    outline: 3px solid ${color('river')};
    outline-offset: -3px;
  }
  & a {
    font-weight: 700;
    min-height: 44px;
    display: inline-flex;
    align-items: center;
  }
`;

const State = styled.span<{ $found: boolean }>`
  color: ${({ $found }) => color($found ? 'ochre' : 'soft')};
  font-weight: ${({ $found }) => ($found ? 700 : 400)};
`;

type Listed = ListedModel & { family: string };

interface ModelColumn extends Pick<ColumnProps, 'width' | 'minWidth' | 'defaultWidth'> {
  id: string;
  title: () => string;
  cell: (model: Listed) => React.ReactNode;
  /** how wide it is on a phone, where there is room for it */
  onPhone?: `${number}fr`;
}

const columns: readonly ModelColumn[] = [
  {
    id: 'name',
    title: () => t('catalogue.name'),
    cell: ({ id, name }) => <Link to={`/catalogue/${id}`}>{name}</Link>,
    defaultWidth: '1.4fr',
    minWidth: 120,
    onPhone: '1.2fr',
  },
  {
    id: 'maker',
    title: () => t('catalogue.maker'),
    cell: ({ maker }) => maker,
    defaultWidth: '1.2fr',
    minWidth: 110,
  },
  {
    id: 'family',
    title: () => t('catalogue.family'),
    cell: ({ family }) => family,
    defaultWidth: '2fr',
    minWidth: 130,
    onPhone: '1.3fr',
  },
  { id: 'sizes', title: () => t('catalogue.sizes'), cell: ({ sizes }) => sizes, width: 84 },
  { id: 'version', title: () => t('catalogue.version'), cell: ({ version }) => version, width: 96 },
  {
    id: 'state',
    title: () => t('catalogue.state'),
    cell: ({ findings, retired, invented }) => (
      <State $found={findings > 0}>
        {[
          findings > 0 ? t('catalogue.findings', { count: findings }) : '',
          retired ? t('catalogue.retired') : '',
          invented ? t('common.invented') : '',
        ]
          .filter(Boolean)
          .join(', ')}
      </State>
    ),
    width: 140,
    onPhone: '1fr',
  },
];

/** The models, drawn only where they are looked at; more are fetched when the end of the list comes near. */
export function ModelTable({
  rows,
  more,
  onMore,
}: {
  rows: readonly Listed[];
  more: boolean;
  onMore: () => void;
}) {
  const narrow = useNarrow();
  const shown = columns.filter(({ onPhone }) => onPhone || !narrow);
  return (
    <Virtualizer
      layout={TableLayout}
      layoutOptions={{ headingHeight: rowHeight, estimatedRowHeight: rowHeight, loaderHeight: rowHeight }}
    >
      <Scrolled aria-label={t('catalogue.models')}>
        <TableHeader>
          {shown.map(({ id, title, cell: _cell, onPhone, ...widths }) => (
            <Column
              key={id}
              id={id}
              isRowHeader={id === 'name'}
              {...(narrow ? { width: onPhone, minWidth: 40 } : widths)}
            >
              {title()}
            </Column>
          ))}
        </TableHeader>
        <TableBody dependencies={[narrow]}>
          {rows.map((model) => (
            <Row key={model.id} id={model.id} textValue={model.name}>
              {shown.map(({ id, cell }) => (
                <Cell key={id}>{cell(model)}</Cell>
              ))}
            </Row>
          ))}
          {more && <TableLoadMoreItem onLoadMore={onMore} />}
        </TableBody>
      </Scrolled>
    </Virtualizer>
  );
}
