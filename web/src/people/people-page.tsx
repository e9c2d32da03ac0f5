import { may } from '@estribo/core/access';
import { Plus } from 'lucide-react';
import { useDeferredValue, useEffect, useRef, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useUser } from '../api/clinic';
import { usePeople } from '../api/people';
import { t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { formatDate } from '../parts/format';
import { Loading } from '../parts/loading';
import { ListLine, Page, Row, Sheet, Soft } from '../parts/layout';
import { VisitDialog } from '../visits/visit-dialog';
import { PersonForm } from './person-form';
import { fullName, numbersOf } from './person-words';

/** What stands beside each other in a line. */
const columns = 'minmax(180px, 1.4fr) minmax(130px, 0.8fr) minmax(110px, 0.8fr) auto';

/** Everybody the clinic knows: found, added, planned. */
export default function PeoplePage() {
  const user = useUser();
  const navigate = useNavigate();
  const [params] = useSearchParams();
  const [find, setFind] = useState(params.get('of') ?? '');
  const [adding, setAdding] = useState(params.has('add'));
  const [planning, plan] = useState<{ id: string; who: string }>();
  const wanted = useDeferredValue(find.trim());
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const people = usePeople(wanted);
  if (!may(user.role, 'people.read')) return <LeadTo to="/clinic" />;
  const rows = people.data?.pages.flatMap((page) => page.people);
  const mayVisit = may(user.role, 'visits.write');
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }} $align="flex-end">
        <h1>{t('peoplePage.title')}</h1>
        {may(user.role, 'people.write') && !adding && (
          <Button look="main" onPress={() => setAdding(true)}>
            <Plus size={18} aria-hidden /> {t('peoplePage.add')}
          </Button>
        )}
      </Row>
      {adding && (
        <Sheet>
          <PersonForm onDone={({ id }) => void navigate(`/people/${id}`)} onCancel={() => setAdding(false)} />
        </Sheet>
      )}
      <Field
        label={t('peoplePage.find')}
        value={find}
        onChange={setFind}
        inputRef={field}
        type="search"
        placeholder={t('peoplePage.example')}
        maxLength={80}
      />
      {!rows ? (
        <Loading away={people.isError} />
      ) : rows.length === 0 ? (
        <Soft role="status">
          {wanted ? t('peoplePage.noneFound', { find: wanted }) : t('peoplePage.none')}
        </Soft>
      ) : (
        <Sheet $pad={0} style={{ padding: '0 20px' }}>
          <ul aria-label={t('peoplePage.title')}>
            {rows.map((one) => (
              <ListLine $columns={columns} key={one.id}>
                <Link to={`/people/${one.id}`}>{fullName(one)}</Link>
                <span>{t('cases.born', { born: formatDate(one.born) })}</span>
                <span>{numbersOf(one)}</span>
                {mayVisit ? (
                  <Button
                    aria-label={t('visits.planFor', { who: fullName(one) })}
                    onPress={() => plan({ id: one.id, who: fullName(one) })}
                  >
                    {t('visits.plan')}
                  </Button>
                ) : (
                  <span />
                )}
              </ListLine>
            ))}
          </ul>
        </Sheet>
      )}
      {people.hasNextPage && (
        <Row>
          <Button onPress={() => void people.fetchNextPage()} isDisabled={people.isFetchingNextPage}>
            {t('common.more')}
          </Button>
        </Row>
      )}
      {planning && <VisitDialog who={planning.who} person={planning.id} onClose={() => plan(undefined)} />}
    </Page>
  );
}
