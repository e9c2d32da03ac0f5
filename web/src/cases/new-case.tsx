import { may } from '@estribo/core/access';
import { pairedSides, regionNames, regions, type Region, type Side } from '@estribo/core/anatomy';
import { useState } from 'react';
import type { AnyEntry } from '@estribo/core/logbook';
import { Link, useNavigate, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { v7 } from 'uuid';
import type { Person } from '@estribo/core/answers';
import { contentQuery, outbox, useCatalogue, useModels, useUser, useZone } from '../api/clinic';
import { useDraft } from '../api/draft';
import { newEntry } from '../api/new-entry';
import { holdPerson, useCasesOf, usePerson } from '../api/people';
import { useKnownOf } from '../case/known-of';
import { FindPerson } from '../people/find-person';
import { PersonForm } from '../people/person-form';
import { fullName, toldApart } from '../people/person-words';
import { braceOf } from '../visits/brace-of';
import { queries } from '../api/queries';
import { color } from '../look/tokens';
import { named, programmeTitle, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Loading } from '../parts/loading';
import { Page, Row, Sheet, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';

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
  adding?: boolean;
  region?: Region;
  /** one of a pair, both at once */
  side?: Side | 'both';
  choice?: string;
  /** what is known of the person is not taken over */
  anew?: boolean;
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
  const [familyHash, modelHash] = choice?.split(' ') ?? [];
  const sides: Side[] =
    region && regions[region] === 'midline'
      ? ['midline']
      : pairSide === 'both'
        ? [...pairedSides]
        : pairSide
          ? [pairSide]
          : [];
  const { known, looking } = useKnownOf(person?.id, familyHash, modelHash, sides);
  // who opens no case is led to those there are
  if (!may(user.role, 'cases.write')) return <LeadTo to="/cases" />;
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
  const family = catalogue.data.families.find(({ hash }) => hash === familyHash);
  const model = models.find(({ hash }) => hash === modelHash);

  const choose = (value: string) => {
    setDraft({ ...draft, choice: value });
    // what the case will hold on to, fetched now: the server may be away when it is opened
    const [programmeHash, hash] = value.split(' ');
    void queries.prefetchQuery(contentQuery('model', hash));
    void queries.prefetchQuery(contentQuery('programme', programmeHash));
  };
  const open = () => {
    if (!person || sides.length === 0 || !model || !family) return setProblem(t('cases.needsAll'));
    void save(async () => {
      const opened: string[] = [];
      for (const side of sides) {
        const id = v7();
        opened.push(id);
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
        for (const one of draft.anew ? [] : (known?.taken[side] ?? []))
          await outbox.postEntry(
            newEntry(one.kind, { case: id, stage: one.stage, zone, by: user.id }, one.body, {
              from: one.from,
              observedAt: one.observedAt,
            }) as AnyEntry,
            user,
          );
      }
      setDraft({});
      await navigate(`/cases/${opened[0]}/screen`);
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
              <b>{fullName(person)}</b>
              <Soft>{toldApart(person)}</Soft>
              <Button look="quiet" autoFocus onPress={() => setDraft({ ...draft, picked: null })}>
                {t('cases.another')}
              </Button>
            </Chosen>
          ) : (
            <ChoosePerson
              adding={draft.adding === true}
              onAdding={(adding) => setDraft({ ...draft, adding })}
              onChosen={(one) => {
                // known at once: what shows the choice must not come late and take the focus from what is done next
                holdPerson(one);
                setDraft({ ...draft, adding: false, picked: one.id });
              }}
            />
          )}
          {person && <BracesOf person={person.id} />}
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
                options={[
                  ...pairedSides.map((value) => ({ value, label: named('side', value) })),
                  { value: 'both' as const, label: t('cases.both') },
                ]}
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
      {looking && !known && <Soft role="status">{t('cases.looking')}</Soft>}
      {known && (
        <Sheet>
          <Stack $gap={8}>
            <Tick isSelected={!draft.anew} onChange={(on) => setDraft({ ...draft, anew: !on })}>
              {t('cases.takeOver', { brace: known.brace })}
            </Tick>
            <Soft>
              {sides
                .map((side) => {
                  const taken = known.taken[side] ?? [];
                  const readings = taken.filter(({ stage }) => stage === 'measure').length;
                  return `${side === 'midline' ? '' : `${named('side', side)}: `}${t('keeping.readings', { count: readings })}, ${t('keeping.looks', { count: taken.length - readings })}`;
                })
                .join(' · ')}
              {'. '}
              {t('cases.takeOverHow')}
            </Soft>
          </Stack>
        </Sheet>
      )}
      {problem && !(person && sides.length > 0 && model) && (
        <Notice tone="stop" live>
          {problem}
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={open} isDisabled={saving}>
          {t(sides.length > 1 ? 'cases.openBoth' : 'cases.open')}
        </Button>
      </Row>
    </Page>
  );
}

/** Somebody who is here already, or somebody new. */
function ChoosePerson({
  adding,
  onAdding,
  onChosen,
}: {
  adding: boolean;
  onAdding: (adding: boolean) => void;
  onChosen: (person: Person) => void;
}) {
  if (adding) return <PersonForm onDone={onChosen} onCancel={() => onAdding(false)} />;
  return (
    <Stack $gap={10}>
      <FindPerson label={t('cases.findPerson')} onChosen={onChosen} />
      <Row>
        <Button onPress={() => onAdding(true)}>{t('cases.newPerson')}</Button>
      </Row>
    </Stack>
  );
}

/** The braces somebody has already. */
function BracesOf({ person }: { person: string }) {
  const cases = useCasesOf(person).data?.cases ?? [];
  if (cases.length === 0) return null;
  return (
    <Row aria-label={t('peoplePage.cases')}>
      <Soft>{t('peoplePage.cases')}:</Soft>
      {cases.map((one) => (
        <Link key={one.case} to={`/cases/${one.case}/${one.stage ?? 'screen'}`} style={{ minHeight: 24 }}>
          {braceOf(one)}
          {one.closed ? ` (${t('cases.closed')})` : ''}
        </Link>
      ))}
    </Row>
  );
}
