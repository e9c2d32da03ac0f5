import { may } from '@estribo/core/access';
import type { CaseSummary } from '@estribo/core/answers';
import { CalendarPlus, Plus } from 'lucide-react';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useCases, useCatalogue, useToday, useUser } from '../api/clinic';
import { saidOfLabel } from '../case/label';
import { color, size } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button, IconButton } from '../parts/button';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { ListLine, Page, Row, Sheet, Small, Soft } from '../parts/layout';
import { formatDay } from '../parts/format';
import { toldApart } from '../people/person-words';
import { plannedVisit } from '../visits/planned-visit';
import { VisitDialog } from '../visits/visit-dialog';

/** What stands beside each other in a line. */
const columns =
  'minmax(150px, 1.1fr) minmax(120px, 0.8fr) minmax(200px, 1.6fr) minmax(80px, 0.6fr) minmax(100px, 0.7fr) 44px';

export default function Cases() {
  const user = useUser();
  const today = useToday();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [find, setFind] = useState(params.get('of') ?? '');
  const wanted = useDeferredValue(find.trim());
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), [params]);
  const found = useCases(wanted, useMeantFamilies(wanted));
  const [planning, plan] =
    useState<Pick<React.ComponentProps<typeof VisitDialog>, 'who' | 'person' | 'caseId' | 'visit'>>();
  const mayVisit = may(user.role, 'visits.write');
  if (!may(user.role, 'bench.read')) return <LeadTo to="/clinic" />;
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
              <ListLine $columns={columns} key={row.case}>
                {mayOpen ? (
                  <Link to={`/cases/${row.case}/${row.stage ?? 'screen'}`}>{row.personName}</Link>
                ) : (
                  <Link to={`/people/${row.person}`}>{row.personName}</Link>
                )}
                <Small>{toldApart({ born: row.born, numbers: [row.number] })}</Small>
                <span>
                  {named('bodyPart', `${row.side}-${row.region}`)}, {row.modelName}
                  {row.size && `, ${t('case.size', { size: row.size })}`}
                  {row.labels.length > 0 && (
                    <Small> {t('cases.labelled', { label: row.labels.map(saidOfLabel).join('; ') })}</Small>
                  )}
                </span>
                <span style={row.blocked ? { color: color('madder'), fontWeight: 700 } : undefined}>
                  {row.closed
                    ? t('cases.closed')
                    : row.blocked
                      ? t('cases.blocked')
                      : row.stage && named('stages', row.stage)}
                </span>
                <NextVisit
                  row={row}
                  today={today}
                  onChange={
                    mayVisit ? (visit) => plan({ who: row.personName, person: row.person, visit }) : undefined
                  }
                />
                {mayVisit && !row.closed ? (
                  <IconButton
                    aria-label={t('visits.planFor', { who: row.personName })}
                    onPress={() => plan({ who: row.personName, person: row.person, caseId: row.case })}
                  >
                    <CalendarPlus size={18} aria-hidden />
                  </IconButton>
                ) : (
                  <span />
                )}
              </ListLine>
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
      {planning && <VisitDialog {...planning} onClose={() => plan(undefined)} />}
    </Page>
  );
}

/** The day somebody is to come in; a visit that was planned is moved or called off from here. */
function NextVisit({
  row,
  today,
  onChange,
}: {
  row: CaseSummary;
  today: string;
  onChange: ((visit: NonNullable<ReturnType<typeof plannedVisit>>) => void) | undefined;
}) {
  if (!row.firstVisit) return <span />;
  const late = row.firstVisit < today;
  const said = late ? t('case.late', { day: formatDay(row.firstVisit) }) : formatDay(row.firstVisit);
  const next = row.ribbon.buckles.find((buckle) => buckle.planned && buckle.day === row.firstVisit);
  const visit = next && plannedVisit(row, next);
  if (visit && onChange)
    return (
      <Button
        look="quiet"
        style={{ justifySelf: 'start', marginLeft: -18 }}
        aria-label={t('visits.change', { what: `${row.personName}, ${said}` })}
        onPress={() => onChange(visit)}
      >
        <span style={late ? { color: color('madder') } : undefined}>{said}</span>
      </Button>
    );
  return <span style={{ fontSize: size.small, color: late ? color('madder') : color('soft') }}>{said}</span>;
}

/** A word as it is looked for: small letters without accents. */
const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** The families whose title, in the language spoken, has a word that begins as one that was typed. */
function useMeantFamilies(find: string): string {
  const user = useUser();
  const families = useCatalogue(may(user.role, 'catalogue.read')).data?.families ?? [];
  return plain(find)
    .split(/[^a-z0-9]+/)
    .filter((word) => word.length > 2)
    .flatMap((word) =>
      families
        .filter((family) =>
          plain(programmeTitle(family))
            .split(/[^a-z0-9]+/)
            .some((one) => one.startsWith(word)),
        )
        .map(({ id }) => `&family=${word}~${encodeURIComponent(id)}`),
    )
    .join('');
}
