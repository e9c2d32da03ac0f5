import { may } from '@estribo/core/access';
import type { Person } from '@estribo/core/answers';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { usePosted, useToday, useUser, useZone } from '../api/clinic';
import { useDraft } from '../api/draft';
import { call, RefusedError } from '../api/http';
import { formProblems } from '../api/say-problem';
import { useCasesOf, usePerson, usePersonHistory, useVisitsOf } from '../api/people';
import { askAnew } from '../api/queries';
import { named, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { formatDate, formatDay, formatInstant } from '../parts/format';
import { Loading } from '../parts/loading';
import { Page, Row, RuledTable, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { braceOf } from '../visits/brace-of';
import { VisitDialog } from '../visits/visit-dialog';
import { saidOfVisit, standing } from '../visits/visit-line';
import { FindPerson } from './find-person';
import { fullName, numbersOf, toldApart } from './person-words';

type Asked = 'edit' | 'merge' | 'visit' | { visit: string } | undefined;

/** Somebody with their braces, their visits and what was changed of them. */
export default function PersonPage() {
  const { personId = '' } = useParams();
  const user = useUser();
  const found = usePerson(personId);
  const waiting = usePosted('').find(({ path }) => path === `/people/${personId}`);
  const person: Person | undefined =
    found.data ??
    (waiting ? ({ id: personId, numbers: [], ...(waiting.body as object) } as unknown as Person) : undefined);
  if (!may(user.role, 'people.read')) return <LeadTo to="/clinic" />;
  if (!person)
    return found.error instanceof RefusedError ? (
      <Page>
        <Notice tone="stop">{t('peoplePage.missing')}</Notice>
        <Link to="/people">{t('peoplePage.title')}</Link>
      </Page>
    ) : (
      <Loading away={found.isError} />
    );
  // who was merged is shown as whom they are now
  if (person.id !== personId) return <LeadTo to={`/people/${person.id}`} />;
  return <OnePerson key={person.id} person={person} />;
}

function OnePerson({ person }: { person: Person }) {
  const user = useUser();
  const navigate = useNavigate();
  const zone = useZone();
  const today = useToday();
  const [asked, ask] = useState<Asked>();
  const cases = useCasesOf(person.id).data?.cases;
  const asking = useVisitsOf(person.id);
  // who is on the way to the server has none there yet
  const visits = asking.data?.visits ?? (asking.isError ? [] : undefined);
  const who = fullName(person);
  const mayWrite = may(user.role, 'people.write');
  const reads = may(user.role, 'record.read');
  const undo = useMutation({
    mutationFn: (id: string) => call('DELETE', `/people/${id}/merged`),
    onSuccess: () => settled(),
  });
  const planned = typeof asked === 'object' ? visits?.find(({ id }) => id === asked.visit) : undefined;
  return (
    <Page>
      <Row style={{ justifyContent: 'space-between' }}>
        <div>
          <h1>{who}</h1>
          <Soft>{toldApart(person)}</Soft>
        </div>
        <Row>
          {may(user.role, 'visits.write') && (
            <Button look={reads ? 'second' : 'main'} onPress={() => ask('visit')}>
              {t('visits.plan')}
            </Button>
          )}
          {may(user.role, 'cases.write') && (
            <Button look="main" onPress={() => void navigate(`/cases/new?person=${person.id}`)}>
              {t('peoplePage.newCase', { who: person.givenName })}
            </Button>
          )}
        </Row>
      </Row>
      <Sheet>
        <Stack $gap={10}>
          <h2>{t('visits.all')}</h2>
          {!visits ? (
            <Loading away={false} />
          ) : visits.length === 0 ? (
            <Soft>{t('visits.noneYet')}</Soft>
          ) : (
            <RuledTable>
              <tbody>
                {visits.map((visit) => (
                  <tr key={visit.id}>
                    <td>
                      <b>{formatDay(visit.day)}</b> {visit.time ?? ''}
                    </td>
                    <td>{saidOfVisit(visit)}</td>
                    <td>{t(`visits.${standing(visit, today)}`)}</td>
                    <td>
                      {visit.note && <Small>{visit.note}</Small>}
                      {visit.deskNote && <Small>{visit.deskNote}</Small>}
                    </td>
                    <td>
                      {visit.state === 'planned' && may(user.role, 'visits.write') && (
                        <Button
                          aria-label={t('visits.change', {
                            what: `${formatDay(visit.day)} ${visit.time ?? ''}`,
                          })}
                          onPress={() => ask({ visit: visit.id })}
                        >
                          {t('visits.move')}
                        </Button>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </RuledTable>
          )}
        </Stack>
      </Sheet>
      <Sheet>
        <Stack $gap={10}>
          <h2>{t('peoplePage.cases')}</h2>
          {cases?.length === 0 && <Soft>{t('peoplePage.noCases')}</Soft>}
          {!reads && cases && cases.length > 0 && <Small>{t('peoplePage.clinical')}</Small>}
          <ul>
            {cases?.map((one) => (
              <li key={one.case} style={{ minHeight: 44, display: 'flex', gap: 12, alignItems: 'center' }}>
                {reads ? (
                  <Link to={`/cases/${one.case}/${one.stage ?? 'screen'}`}>{braceOf(one)}</Link>
                ) : (
                  braceOf(one)
                )}
                <Small>
                  {[
                    one.size && t('case.size', { size: one.size }),
                    one.closed ? t('cases.closed') : one.stage && named('stages', one.stage),
                    one.lastDay && formatDay(one.lastDay),
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </Small>
              </li>
            ))}
          </ul>
        </Stack>
      </Sheet>
      {(person.merged ?? []).length > 0 && (
        <Sheet>
          <Stack $gap={10}>
            <h2>{t('peoplePage.alsoAs')}</h2>
            {person.merged!.map((one) => (
              <Row key={one.id}>
                <span>
                  {fullName(one)} · {toldApart({ born: one.born, numbers: [one.number] })}
                </span>
                {mayWrite && new Date(one.undoneUntil) > new Date() && (
                  <>
                    <Button onPress={() => undo.mutate(one.id)} isDisabled={undo.isPending}>
                      {t('peoplePage.undo', { number: one.number })}
                    </Button>
                    <Small>
                      {t('peoplePage.undoUntil', { until: formatInstant(one.undoneUntil, zone) })}
                    </Small>
                  </>
                )}
              </Row>
            ))}
            {undo.error && <Notice tone="stop">{formProblems(undo.error, t('common.away'))['']}</Notice>}
          </Stack>
        </Sheet>
      )}
      <History person={person} />
      {mayWrite && (
        <Row>
          <Button onPress={() => ask('edit')}>{t('peoplePage.edit')}</Button>
          <Button onPress={() => ask('merge')}>{t('peoplePage.merge')}</Button>
        </Row>
      )}
      {asked === 'edit' && <Edit person={person} onClose={() => ask(undefined)} />}
      {asked === 'merge' && <Merge person={person} onClose={() => ask(undefined)} />}
      {asked === 'visit' && <VisitDialog who={who} person={person.id} onClose={() => ask(undefined)} />}
      {planned && <VisitDialog who={who} person={person.id} visit={planned} onClose={() => ask(undefined)} />}
    </Page>
  );
}

/** After a person was changed, merged or parted: whatever shows them is asked again. */
function settled(): void {
  for (const key of ['people', 'person', 'visits', 'cases', 'bench', 'case']) void askAnew([key]);
}

const fields = ['givenName', 'familyName', 'born'] as const;

function History({ person }: { person: Person }) {
  const zone = useZone();
  const { data } = usePersonHistory(person.id);
  if (!data || data.changes.length === 0) return null;
  const nameOf = { givenName: 'cases.given', familyName: 'cases.family', born: 'cases.bornLabel' } as const;
  const said = (change: (typeof data.changes)[number]) => {
    const name = change.byName ?? t('peoplePage.somebody');
    switch (change.action) {
      case 'person.added':
        return t('peoplePage.added', { name });
      case 'person.merged':
        return t('peoplePage.merged', { name, number: change.number });
      case 'person.parted':
        return t('peoplePage.parted', { name, number: change.number });
      default:
        return t('peoplePage.changed', {
          name,
          what: fields
            .filter((field) => change.now?.[field] !== undefined)
            .map((field) =>
              t('peoplePage.wasNow', {
                field: t(nameOf[field]),
                was: String(change.before?.[field] ?? ''),
                now: String(change.now?.[field]),
              }),
            )
            .join('; '),
        });
    }
  };
  return (
    <Sheet>
      <Stack $gap={6}>
        <h2>{t('peoplePage.history')}</h2>
        <ul>
          {data.changes.map((change) => (
            <li key={change.n}>
              <Small>{formatInstant(change.at, zone)}</Small> {said(change)}
            </li>
          ))}
        </ul>
      </Stack>
    </Sheet>
  );
}

function Edit({ person, onClose }: { person: Person; onClose: () => void }) {
  const { givenName, familyName, born } = person;
  const was = { givenName, familyName, born };
  const [draft, setDraft] = useDraft<{ givenName: string; familyName: string; born?: string }>(
    `person-${person.id}`,
    was,
  );
  const [problems, setProblems] = useState<Record<string, string>>({});
  const put = useMutation({
    mutationFn: () =>
      call('PUT', `/people/${person.id}`, {
        givenName: draft.givenName.trim(),
        familyName: draft.familyName.trim(),
        born: draft.born,
        was,
      }),
    onSuccess: () => {
      setDraft(was);
      settled();
      onClose();
    },
    onError: (error) => {
      const meanwhile =
        error instanceof RefusedError ? (error.problem.inForce as typeof was | undefined) : undefined;
      setProblems(
        meanwhile
          ? {
              '': t('peoplePage.conflict', {
                name: fullName(meanwhile),
                born: formatDate(meanwhile.born),
              }),
            }
          : formProblems(error, t('common.away')),
      );
      if (meanwhile) settled();
    },
  });
  const save = () => {
    if (draft.givenName.trim() === '' || draft.familyName.trim() === '' || !draft.born)
      return setProblems({ '': t('cases.personNeeds') });
    put.mutate();
  };
  return (
    <Dialog title={t('peoplePage.edit')} onClose={onClose}>
      <Field
        label={t('cases.given')}
        value={draft.givenName}
        onChange={(text) => setDraft({ ...draft, givenName: text })}
        problem={problems.givenName}
        maxLength={80}
        autoFocus
      />
      <Field
        label={t('cases.family')}
        value={draft.familyName}
        onChange={(text) => setDraft({ ...draft, familyName: text })}
        problem={problems.familyName}
        maxLength={80}
      />
      <DayField
        label={t('cases.bornLabel')}
        value={draft.born}
        problem={problems.born}
        onChange={(day) => {
          const { born: _was, ...rest } = draft;
          setDraft(day ? { ...rest, born: day } : rest);
        }}
      />
      {problems[''] && (
        <Notice tone="stop" live>
          {problems['']}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={put.isPending} onPress={save}>
          {t('peoplePage.save')}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}

function Merge({ person, onClose }: { person: Person; onClose: () => void }) {
  const navigate = useNavigate();
  const merge = useMutation({
    mutationFn: (into: Person) => call('PUT', `/people/${person.id}/merged`, { into: into.id }),
    onSuccess: async (_answer, into) => {
      onClose();
      await navigate(`/people/${into.id}`);
      settled();
    },
  });
  const problems = merge.error ? formProblems(merge.error, t('common.away')) : {};
  return (
    <Dialog title={t('peoplePage.mergeTitle', { who: fullName(person) })} onClose={onClose}>
      <Soft>{t('peoplePage.mergeHow')}</Soft>
      <FindPerson
        label={t('peoplePage.find')}
        but={person.id}
        nameOf={(one) => t('peoplePage.mergeWith', { who: fullName(one) })}
        onChosen={(into) => merge.mutate(into)}
      />
      {(problems[''] ?? problems.into) && (
        <Notice tone="stop" live>
          {problems[''] ?? problems.into}
        </Notice>
      )}
      <Row>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
        <Small>{numbersOf(person)}</Small>
      </Row>
    </Dialog>
  );
}
