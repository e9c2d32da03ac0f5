import { may } from '@estribo/core/access';
import { sides, type Side } from '@estribo/core/anatomy';
import { kinds, type AnyEntry } from '@estribo/core/logbook';
import { useDeferredValue, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import {
  contentQuery,
  outbox,
  queries,
  useCatalogue,
  usePeople,
  useToday,
  useUser,
  useZone,
  type Person,
} from '../api/clinic';
import { color } from '../app/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printDate } from '../parts/print';
import { useSaving } from '../parts/use-saving';

const People = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  max-height: 216px;
  overflow: auto;
  padding: 4px;
`;

const Chosen = styled.div`
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 8px 12px;
  border-left: 4px solid ${color('river')};
  background: ${color('riverWash')};
  border-radius: 4px;
`;

export default function NewCase() {
  const user = useUser();
  const zone = useZone();
  const navigate = useNavigate();
  const catalogue = useCatalogue();
  const [person, setPerson] = useState<Person>();
  const [side, setSide] = useState<Side>();
  const [modelHash, setModelHash] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  if (!may(user.role, 'cases.write'))
    return (
      <Page>
        <h1>{t('cases.new')}</h1>
        <Soft>{t('common.notYourRole')}</Soft>
      </Page>
    );
  if (!catalogue.data) return <Loading away={catalogue.isError} />;
  const models = catalogue.data.families.flatMap(({ programme, models }) =>
    models.map((model) => ({ ...model, family: programme })),
  );
  const model = models.find(({ hash }) => hash === modelHash);

  const choose = (hash: string) => {
    setModelHash(hash);
    // what the case will hold on to, fetched now: the server may be away when it is opened
    const family = models.find((one) => one.hash === hash)?.family;
    void queries.prefetchQuery(contentQuery('model', hash));
    void queries.prefetchQuery(contentQuery('programme', family?.hash));
  };
  const open = () => {
    if (!person || !side || !model) return setProblem(t('cases.needsAll'));
    void save(async () => {
      const id = v7();
      const { family } = model;
      await outbox.postEntry({
        id: v7(),
        case: id,
        stage: 'case',
        kind: 'case.opened',
        v: kinds['case.opened'].v,
        observedAt: new Date().toISOString(),
        zone,
        by: user.id,
        body: {
          person: person.id,
          side,
          programme: family,
          model: { id: model.id, version: model.version, hash: model.hash },
        },
      } as AnyEntry);
      await navigate(`/cases/${id}/screen`);
    });
  };

  return (
    <Page>
      <h1>{t('cases.new')}</h1>
      <Sheet>
        <Stack>
          <h2>{t('cases.who')}</h2>
          {person ? (
            <Chosen>
              <b>
                {person.givenName} {person.familyName}
              </b>
              <Soft>{t('cases.born', { born: printDate(person.born) })}</Soft>
              <Button look="quiet" autoFocus onPress={() => setPerson(undefined)}>
                {t('cases.another')}
              </Button>
            </Chosen>
          ) : (
            <ChoosePerson onChosen={setPerson} />
          )}
        </Stack>
      </Sheet>
      <Sheet>
        <Row $gap={40} $align="flex-start">
          <Choice
            label={t('cases.side')}
            options={sides.map((value) => ({ value, label: named('side', value) }))}
            value={side}
            onChange={setSide}
          />
          <Choice
            label={t('cases.model')}
            options={models.map(({ hash, name, maker, invented }) => ({
              value: hash,
              label: `${name}, ${maker}${invented ? ` (${t('common.invented')})` : ''}`,
            }))}
            value={modelHash}
            onChange={choose}
          />
        </Row>
        {model && <Soft style={{ marginTop: 8 }}>{named('programmes', model.family.id)}</Soft>}
      </Sheet>
      {problem && !(person && side && model) && (
        <Notice tone="stop" live>
          {problem}
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={open} isDisabled={saving}>
          {t('cases.open')}
        </Button>
      </Row>
    </Page>
  );
}

function ChoosePerson({ onChosen }: { onChosen: (person: Person) => void }) {
  const user = useUser();
  const today = useToday();
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const people = usePeople(wanted);
  const [adding, setAdding] = useState(false);
  const [given, setGiven] = useState('');
  const [family, setFamily] = useState('');
  const [born, setBorn] = useState<string>();
  const [problem, setProblem] = useState<string>();
  const add = () => {
    if (given.trim() === '' || family.trim() === '' || !born) return setProblem(t('cases.personNeeds'));
    if (born > today) return setProblem(t('cases.bornLater'));
    const fresh: Person = { id: v7(), givenName: given.trim(), familyName: family.trim(), born };
    const { id, ...body } = fresh;
    void outbox.post({ user: user.id, method: 'PUT', path: `/people/${id}`, body, caseId: '' }).then(() => {
      queries.setQueryData(['person', id], fresh);
      onChosen(fresh);
    });
  };
  if (adding)
    return (
      <Stack>
        <Row $align="flex-end">
          <Field label={t('cases.given')} value={given} onChange={setGiven} autoFocus maxLength={80} />
          <Field label={t('cases.family')} value={family} onChange={setFamily} maxLength={80} />
          <DayField label={t('cases.bornLabel')} value={born} onChange={setBorn} />
        </Row>
        {problem && (
          <Notice tone="stop" live>
            {problem}
          </Notice>
        )}
        <Row>
          <Button look="main" onPress={add}>
            {t('cases.addPerson')}
          </Button>
          <Button look="quiet" onPress={() => setAdding(false)}>
            {t('common.cancel')}
          </Button>
        </Row>
      </Stack>
    );
  return (
    <Stack $gap={10}>
      <Field
        label={t('cases.findPerson')}
        value={find}
        onChange={setFind}
        type="search"
        autoFocus
        maxLength={80}
      />
      <People aria-label={t('cases.people')}>
        {people.data?.people.map((one) => (
          <li key={one.id}>
            <Button onPress={() => onChosen(one)}>
              {one.givenName} {one.familyName} · {one.born.slice(0, 4)}
            </Button>
          </li>
        ))}
      </People>
      {people.data?.more && <Soft>{t('cases.morePeople')}</Soft>}
      {people.data?.people.length === 0 && <Soft role="status">{t('cases.noPerson', { find: wanted })}</Soft>}
      {people.isError && <Loading away />}
      <Row>
        <Button onPress={() => setAdding(true)}>{t('cases.newPerson')}</Button>
      </Row>
    </Stack>
  );
}
