import type { Double, Person } from '@estribo/core/answers';
import { addDays } from '@estribo/core/calendar';
import { useState } from 'react';
import { v7 } from 'uuid';
import { outbox, useToday, useUser } from '../api/clinic';
import { useDraft } from '../api/draft';
import { UnansweredError } from '../api/http';
import { fetchDoubles, holdPerson } from '../api/people';
import { t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Small, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { fullName, toldApart } from './person-words';

interface NewPersonDraft {
  /** made once: pressed twice, it is one person */
  id: string;
  given: string;
  family: string;
  born?: string;
}

const nobody = { id: '', given: '', family: '' };

/** Somebody new; who is like them and here already is shown before anything is added. */
export function PersonForm({ onDone, onCancel }: { onDone: (person: Person) => void; onCancel: () => void }) {
  const user = useUser();
  const today = useToday();
  const [draft, setDraft] = useDraft<NewPersonDraft>('new-person', nobody);
  const { given, family, born } = draft;
  const [problem, setProblem] = useState<string>();
  const [likely, setLikely] = useState<Double[]>();
  const [away, setAway] = useState(false);
  const [saving, save] = useSaving();
  const change = (next: Partial<NewPersonDraft>) => {
    setLikely(undefined);
    setProblem(undefined);
    setDraft({ ...draft, ...next, id: draft.id || v7() });
  };
  const clear = () => {
    setDraft(nobody);
    setLikely(undefined);
  };
  /** @param apart who was looked at and is somebody else; null: nobody could be asked */
  const add = async (apart: string[] | null) => {
    const fresh: Person = {
      id: draft.id,
      givenName: given.trim(),
      familyName: family.trim(),
      born: born!,
      numbers: [],
    };
    const { givenName, familyName } = fresh;
    await outbox.post({
      user: user.id,
      userName: user.name,
      method: 'PUT',
      path: `/people/${fresh.id}`,
      body: { givenName, familyName, born: fresh.born, apart },
      caseId: '',
    });
    holdPerson(fresh);
    clear();
    onDone(fresh);
  };
  const submit = () => {
    if (given.trim() === '' || family.trim() === '' || !born) return setProblem(t('cases.personNeeds'));
    if (born > today) return setProblem(t('cases.bornLater'));
    if (born < addDays(today, -43830)) return setProblem(t('peoplePage.bornEarly'));
    void save(async () => {
      try {
        const found = await fetchDoubles({ givenName: given.trim(), familyName: family.trim(), born });
        if (found.doubles.length > 0) return setLikely(found.doubles);
        await add([]);
      } catch (error) {
        if (!(error instanceof UnansweredError)) throw error;
        // the second press adds without having looked
        if (away) return add(null);
        setAway(true);
      }
    });
  };
  return (
    <Stack>
      <Row $align="flex-start">
        <Field
          label={t('cases.given')}
          value={given}
          onChange={(text) => change({ given: text })}
          autoFocus
          maxLength={80}
        />
        <Field
          label={t('cases.family')}
          value={family}
          onChange={(text) => change({ family: text })}
          maxLength={80}
        />
        <DayField
          label={t('cases.bornLabel')}
          value={born}
          onChange={(day) => {
            const { born: _was, ...rest } = draft;
            setLikely(undefined);
            setProblem(undefined);
            setDraft({ ...rest, ...(day ? { born: day } : {}), id: draft.id || v7() });
          }}
        />
      </Row>
      {problem && (
        <Notice tone="stop" live>
          {problem}
        </Notice>
      )}
      {away && (
        <Notice tone="caution" live>
          {t('peoplePage.away')}
        </Notice>
      )}
      {likely && (
        <Notice tone="caution" live>
          <Stack $gap={8}>
            <b>{t('peoplePage.likely')}</b>
            {likely.map((one) => (
              <Row key={one.id}>
                <Button
                  onPress={() => {
                    clear();
                    holdPerson(one);
                    onDone(one);
                  }}
                >
                  {t('peoplePage.take', { who: fullName(one) })}
                </Button>
                <span>
                  {toldApart(one)}{' '}
                  <Small>({t(one.likeness === 'same' ? 'peoplePage.same' : 'peoplePage.near')})</Small>
                </span>
              </Row>
            ))}
            <Row>
              <Button isDisabled={saving} onPress={() => void save(() => add(likely.map(({ id }) => id)))}>
                {t('peoplePage.another')}
              </Button>
            </Row>
          </Stack>
        </Notice>
      )}
      <Row>
        {!likely && (
          <Button look="main" onPress={submit} isDisabled={saving}>
            {t('cases.addPerson')}
          </Button>
        )}
        <Button
          look="quiet"
          onPress={() => {
            clear();
            onCancel();
          }}
        >
          {t('common.cancel')}
        </Button>
      </Row>
    </Stack>
  );
}
