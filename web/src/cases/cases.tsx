import { may } from '@estribo/core/access';
import { Plus } from 'lucide-react';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { Link, Navigate, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { useCases, useToday, useUser } from '../api/clinic';
import { color, narrow, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Soft } from '../parts/layout';
import { formatDay } from '../parts/format';

const Line = styled.li`
  display: grid;
  grid-template-columns: minmax(160px, 1.2fr) minmax(200px, 1.6fr) minmax(120px, 1fr) minmax(110px, 0.8fr);
  gap: 4px 16px;
  align-items: center;
  min-height: 56px;
  border-bottom: 1px solid ${color('line')};
  overflow-wrap: anywhere;
  & > a {
    font-weight: 700;
    min-height: 44px;
    display: flex;
    align-items: center;
  }
  &:last-child {
    border-bottom: 0;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr) auto;
    padding: 4px 0;
  }
`;

export default function Cases() {
  const user = useUser();
  const today = useToday();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [find, setFind] = useState(params.get('of') ?? '');
  const wanted = useDeferredValue(find.trim());
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), [params]);
  const found = useCases(wanted);
  if (!may(user.role, 'bench.read')) return <Navigate to="/clinic" replace />;
  const rows = found.data?.pages.flatMap(({ cases }) => cases);
  const mayOpen = may(user.role, 'record.read');
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
        <h1>{t('nav.cases')}</h1>
        {may(user.role, 'cases.write') && (
          <Button look="main" onPress={() => void navigate('/cases/new')}>
            <Plus size={18} aria-hidden /> {t('cases.new')}
          </Button>
        )}
      </Row>
      <Field
        label={t('cases.find')}
        value={find}
        onChange={setFind}
        inputRef={field}
        type="search"
        placeholder={t('cases.findExample')}
        maxLength={80}
      />
      {!rows ? (
        <Loading away={found.isError} />
      ) : rows.length === 0 ? (
        <Soft role="status">{wanted ? t('cases.noneFound', { find: wanted }) : t('cases.none')}</Soft>
      ) : (
        <Sheet $pad={0} style={{ padding: '0 20px' }}>
          <ul aria-label={t('nav.cases')}>
            {rows.map((row) => (
              <Line key={row.case}>
                {mayOpen ? (
                  <Link to={`/cases/${row.case}/${row.stage}`}>{row.personName}</Link>
                ) : (
                  <b>{row.personName}</b>
                )}
                <span>
                  {named('bodyPart', `${row.side}-${row.region}`)}, {row.modelName}
                  {row.size && `, ${t('case.size', { size: row.size })}`}
                </span>
                <span style={row.blocked ? { color: color('madder'), fontWeight: 700 } : undefined}>
                  {row.blocked ? t('cases.blocked') : named('stages', row.stage)}
                </span>
                <span
                  style={{
                    fontSize: size.small,
                    color: row.firstVisit && row.firstVisit < today ? color('madder') : color('soft'),
                  }}
                >
                  {row.firstVisit
                    ? row.firstVisit < today
                      ? t('case.late', { day: formatDay(row.firstVisit) })
                      : formatDay(row.firstVisit)
                    : ''}
                </span>
              </Line>
            ))}
          </ul>
        </Sheet>
      )}
      {found.hasNextPage && (
        <Row>
          <Button onPress={() => void found.fetchNextPage()} isDisabled={found.isFetchingNextPage}>
            {t('common.more')}
          </Button>
        </Row>
      )}
    </Page>
  );
}
