import { may } from '@estribo/core/access';
import { pairedSides, regionNames, regions, type Region, type Side } from '@estribo/core/anatomy';
import { useDeferredValue, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import type { Person } from '@estribo/core/answers';
import {
  contentQuery,
  outbox,
  useCatalogue,
  useModels,
  usePeople,
  usePerson,
  useToday,
  useUser,
  useZone,
} from '../api/clinic';
import { useDraft } from '../api/draft';
import { newEntry } from '../api/new-entry';
import { queries } from '../api/queries';
import { color } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDate } from '../parts/format';
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

/** A case as it is chosen, before it is opened; null: another person than the one that was asked for. */
interface NewCaseDraft {
  picked?: string | null;
  region?: Region;
  side?: Side;
  choice?: string;
}

export default function NewCase() {
  const user = useUser();
  const zone = useZone();
  const navigate = useNavigate();
  const catalogue = useCatalogue();
  const [query] = useSearchParams();
  const asked = query.get('person') ?? undefined;
  const [draft, setDraft] = useDraft<NewCaseDraft>(`new-case-${asked ?? ''}`, {});
  const { picked = asked, region, side: pairSide, choice } = draft;
  const person = usePerson(picked ?? undefined).data;
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const listed = useModels({ region: region ?? '' }, region !== undefined);
  if (!may(user.role, 'cases.write'))
    return (
      <Page>
        <h1>{t('cases.new')}</h1>
        <Soft>{t('common.notYourRole')}</Soft>
      </Page>
    );
  if (!catalogue.data) return <Loading away={catalogue.isError} />;
  const models = listed.data?.pages.flatMap((page) => page.models) ?? [];
  // a clinic's own programme takes the models of the family it was copied from
  const families = catalogue.data.families
    .filter((family) => family.region === region)
    .map((family) => ({
      family,
      models: models.filter(({ programme }) => programme === family.id || programme === family.base),
    }))
    .filter(({ models: own }) => own.length > 0);
  const [familyHash, modelHash] = choice?.split(' ') ?? [];
  const family = catalogue.data.families.find(({ hash }) => hash === familyHash);
  const model = models.find(({ hash }) => hash === modelHash);
  const side = region && regions[region] === 'midline' ? ('midline' as const) : pairSide;

  const choose = (value: string) => {
    setDraft({ ...draft, choice: value });
    // what the case will hold on to, fetched now: the server may be away when it is opened
    const [programmeHash, hash] = value.split(' ');
    void queries.prefetchQuery(contentQuery('model', hash));
    void queries.prefetchQuery(contentQuery('programme', programmeHash));
  };
  const open = () => {
    if (!person || !side || !model || !family) return setProblem(t('cases.needsAll'));
    void save(async () => {
      const id = v7();
      await outbox.postEntry(
        newEntry(
          'case.opened',
          { case: id, stage: 'case', zone, by: user.id },
          {
            person: person.id,
            side,
            programme: { id: family.id, version: family.version, hash: family.hash },
            model: { id: model.id, version: model.version, hash: model.hash },
          },
        ),
        user,
      );
      setDraft({});
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
              <Soft>{t('cases.born', { born: formatDate(person.born) })}</Soft>
              <Button look="quiet" autoFocus onPress={() => setDraft({ ...draft, picked: null })}>
                {t('cases.another')}
              </Button>
            </Chosen>
          ) : (
            <ChoosePerson
              onChosen={(one) => {
                // known at once: what shows the choice must not come late and take the focus from what is done next
                queries.setQueryData(['person', one.id], one);
                setDraft({ ...draft, picked: one.id });
              }}
            />
          )}
        </Stack>
      </Sheet>
      <Sheet>
        <Stack>
          <Row $gap={40} $align="flex-start">
            <Choice
              label={t('cases.region')}
              options={regionNames.map((value) => ({ value, label: named('regions', value) }))}
              value={region}
              onChange={(value) => {
                setDraft({
                  region: value,
                  ...(picked === undefined ? {} : { picked }),
                  ...(pairSide ? { side: pairSide } : {}),
                });
              }}
            />
            {region && regions[region] === 'pair' && (
              <Choice
                label={t('cases.side')}
                options={pairedSides.map((value) => ({ value, label: named('side', value) }))}
                value={pairSide}
                onChange={(side) => setDraft({ ...draft, side })}
              />
            )}
          </Row>
          {region && listed.isPending && <Loading away={listed.isError} />}
          {families.map((one) => (
            <Choice
              key={one.family.hash}
              label={programmeTitle(one.family)}
              options={one.models.map(({ hash, name, maker, invented }) => ({
                value: `${one.family.hash} ${hash}`,
                label: `${name}, ${maker}${invented ? ` (${t('common.invented')})` : ''}`,
              }))}
              value={choice?.startsWith(one.family.hash) ? choice : undefined}
              onChange={choose}
            />
          ))}
          {listed.hasNextPage && (
            <Button look="quiet" onPress={() => void listed.fetchNextPage()}>
              {t('common.more')}
            </Button>
          )}
          {region && listed.data && families.length === 0 && <Soft>{t('cases.noModels')}</Soft>}
        </Stack>
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

interface NewPersonDraft {
  adding: boolean;
  given: string;
  family: string;
  born?: string;
}

const nobody: NewPersonDraft = { adding: false, given: '', family: '' };

const withBorn = ({ adding, given, family }: NewPersonDraft, born: string | undefined): NewPersonDraft => ({
  adding,
  given,
  family,
  ...(born ? { born } : {}),
});

function ChoosePerson({ onChosen }: { onChosen: (person: Person) => void }) {
  const user = useUser();
  const today = useToday();
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const people = usePeople(wanted);
  const [draft, setDraft] = useDraft<NewPersonDraft>('new-person', nobody);
  const { adding, given, family, born } = draft;
  const [problem, setProblem] = useState<string>();
  const add = () => {
    if (given.trim() === '' || family.trim() === '' || !born) return setProblem(t('cases.personNeeds'));
    if (born > today) return setProblem(t('cases.bornLater'));
    const fresh: Person = { id: v7(), givenName: given.trim(), familyName: family.trim(), born };
    const { id, ...body } = fresh;
    void outbox
      .post({
        user: user.id,
        userName: user.name,
        method: 'PUT',
        path: `/people/${id}`,
        body,
        caseId: '',
      })
      .then(() => {
        setDraft(nobody);
        onChosen(fresh);
      });
  };
  if (adding)
    return (
      <Stack>
        <Row $align="flex-end">
          <Field
            label={t('cases.given')}
            value={given}
            onChange={(text) => setDraft({ ...draft, given: text })}
            autoFocus
            maxLength={80}
          />
          <Field
            label={t('cases.family')}
            value={family}
            onChange={(text) => setDraft({ ...draft, family: text })}
            maxLength={80}
          />
          <DayField
            label={t('cases.bornLabel')}
            value={born}
            onChange={(day) => setDraft(withBorn(draft, day))}
          />
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
          <Button look="quiet" onPress={() => setDraft(nobody)}>
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
        <Button onPress={() => setDraft({ ...draft, adding: true })}>{t('cases.newPerson')}</Button>
      </Row>
    </Stack>
  );
}
