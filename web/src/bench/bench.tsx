import { may } from '@estribo/core/access';
import { regionNames } from '@estribo/core/anatomy';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useBench, useStaff, useUser } from '../api/clinic';
import { narrow } from '../look/tokens';
import { named, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { formatWeekday } from '../parts/format';
import { Loading } from '../parts/loading';
import { Page, Row, Soft } from '../parts/layout';
import { Pick } from '../parts/pick';
import { CaseRibbon, sorted } from './ribbon';
import { DayList } from './day-list';

/** The ribbon, and beside it who is expected on a day. */
const Halves = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 24px;
  @media (max-width: 1100px) {
    grid-template-columns: minmax(0, 1fr);
    & > aside {
      order: -1;
    }
  }
  ${narrow} {
    gap: 14px;
  }
`;

/** What is looked at, beside the title. */
const Filters = styled(Row)`
  & > [data-rac]:not(button) {
    min-width: 0;
    width: 168px;
  }
`;

const everybody = '';
const everywhere = '';

/** What is due, on a ribbon of days from a week ago to three weeks on, and who is expected today. */
export function Bench() {
  const [region, setRegion] = useState(everywhere);
  const [whose, setWhose] = useState(everybody);
  const [kind, of = ''] = whose.split(' ');
  const bench = useBench({
    region,
    ...(kind === 'role' ? { role: of } : {}),
    ...(kind === 'keeper' ? { keeper: of } : {}),
  });
  const user = useUser();
  const { data: staff } = useStaff();
  const navigate = useNavigate();
  const [day, setDay] = useState<string>();
  const first = bench.data?.pages[0];
  // who has no bench looks after the clinic
  if (!may(user.role, 'bench.read')) return <LeadTo to="/clinic" />;
  if (!bench.data || !first) return <Loading away={bench.isError} />;
  const { today, from } = first;
  const cases = bench.data.pages.flatMap((page) => page.cases);
  const rows = sorted(cases, today);
  const due = rows.filter(({ next }) => next?.day === today).length;
  const late = rows.filter((row) => row.late).length;
  const reads = may(user.role, 'record.read');
  const keepers = (staff?.staff ?? []).filter(({ role, id }) => may(role, 'cases.write') && id !== user.id);
  const shown = day ?? today;
  return (
    <Page style={{ maxWidth: 1440 }}>
      <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
        <div style={{ flex: '1 1 340px', minWidth: 0 }}>
          <h1>
            {t('bench.title', {
              weekday: formatWeekday(today),
              due: t('bench.due', { count: due }),
              late: t('bench.late', { count: late }),
            })}
          </h1>
          <Soft>{t(reads ? 'bench.legend' : 'bench.legendVisits')}</Soft>
        </div>
        <Filters $align="flex-end">
          <Pick
            label={t('bench.region')}
            options={[
              { value: everywhere, label: t('bench.allRegions') },
              ...regionNames.map((value) => ({ value, label: named('regions', value) })),
            ]}
            value={region}
            onChange={setRegion}
          />
          {reads && (
            <Pick
              label={t('bench.whose')}
              options={[
                { value: everybody, label: t('bench.everybody') },
                ...(may(user.role, 'cases.write')
                  ? [{ value: `keeper ${user.id}`, label: t('bench.mine') }]
                  : []),
                ...keepers.map(({ id, name }) => ({ value: `keeper ${id}`, label: name })),
                ...(['orthotist', 'technician'] as const).map((role) => ({
                  value: `role ${role}`,
                  label: t('bench.forRole', { role: named('roles', role) }),
                })),
              ]}
              value={whose}
              onChange={setWhose}
            />
          )}
          {may(user.role, 'cases.write') ? (
            <Button look="main" onPress={() => void navigate('/cases/new')}>
              {t('cases.new')}
            </Button>
          ) : (
            may(user.role, 'people.write') && (
              <Button look="main" onPress={() => void navigate('/people?add')}>
                {t('peoplePage.add')}
              </Button>
            )
          )}
        </Filters>
      </Row>
      <Halves>
        <div style={{ minWidth: 0 }}>
          {rows.length === 0 ? (
            <Soft role="status">
              {region === everywhere && whose === everybody ? t('bench.empty') : t('bench.filtered')}
            </Soft>
          ) : (
            <CaseRibbon rows={rows} from={from} today={today} chosen={shown} onDay={setDay} />
          )}
          {bench.hasNextPage && (
            <Row style={{ marginTop: 16 }}>
              <Button onPress={() => void bench.fetchNextPage()} isDisabled={bench.isFetchingNextPage}>
                {t('common.more')}
              </Button>
            </Row>
          )}
        </div>
        <DayList day={shown} today={today} cases={cases} onDay={setDay} />
      </Halves>
    </Page>
  );
}
