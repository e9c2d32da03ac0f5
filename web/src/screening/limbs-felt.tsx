import { may } from '@estribo/core/access';
import {
  allFull,
  degreesOfFunction,
  limbFunctions,
  limbs,
  type DegreeOfFunction,
  type Limb,
  type LimbFunction,
  type LimbsFelt,
} from '@estribo/core/screening';
import { useState } from 'react';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';

const Limbs = styled.ul`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px 18px;
  & li {
    display: flex;
    flex-wrap: wrap;
    gap: 6px 22px;
    border-top: 1px solid ${color('line')};
    padding-top: 6px;
  }
`;

const isWhole = (felt: LimbsFelt) =>
  limbs.every((limb) => limbFunctions.every((what) => felt[limb][what] === 'full'));

/** What is not full, in words; nothing when all is. */
export const saidOfLimbs = (felt: LimbsFelt): string =>
  limbs
    .flatMap((limb) =>
      limbFunctions.flatMap((what) =>
        felt[limb][what] === 'full'
          ? []
          : [
              `${named('limb', limb)}: ${named('limbFunction', what)} ${named('functionDegree', felt[limb][what])}`,
            ],
      ),
    )
    .join(', ');

type Said = Partial<Record<Limb, Partial<Record<LimbFunction, DegreeOfFunction>>>>;

/** What was said, with full for the rest: the button names it before it is recorded. */
const withRestFull = (said: Said): LimbsFelt =>
  Object.fromEntries(
    limbs.map((limb) => [limb, { ...allFull[limb], ...said[limb] }]),
  ) as unknown as LimbsFelt;

/**
 * Movement and sensation in arms and legs, recorded before a trunk or neck brace is donned or with it on. Nothing is preset: all
 * full, or as before, is one touch that says so; less is one touch on what is less.
 * @param since an entry that asks for it again: what was recorded before it answers nothing
 */
export function LimbsFeltNote({ moment, since }: { moment: 'before' | 'after'; since?: string }) {
  const { state, user, write } = useWork();
  // what is found is recorded whatever stops the fitting: a loss, and that it has come back
  const mayNote = may(user.role, 'screening.write');
  const placeOf = (id: string | undefined) => state.lines.findIndex(({ entry }) => entry.id === id);
  const last = state.limbs[moment];
  const noted = since === undefined || placeOf(last?.entry) > placeOf(since) ? last : undefined;
  const [draft, setDraft] = useDraft(`${state.case}-limbs-said-${moment}`, { said: {} as Said, note: '' });
  const [again, setAgain] = useState(false);
  const [saving, save] = useSaving();
  const { said, note } = draft;
  const set = (limb: Limb, what: LimbFunction, degree: DegreeOfFunction) =>
    setDraft({ ...draft, said: { ...said, [limb]: { ...said[limb], [what]: degree } } });
  const take = (felt: LimbsFelt) =>
    void save(() =>
      write('limbs.noted', moment === 'before' ? 'screen' : 'check', {
        moment,
        limbs: felt,
        ...(note.trim() ? { note: note.trim() } : {}),
      }).then(() => {
        setDraft({ said: {}, note: '' });
        setAgain(false);
      }),
    );
  const lost = state.limbs.lost.filter(({ note: { entry } }) => entry === noted?.entry);
  if (noted && !again)
    return (
      <Stack $gap={8}>
        <Notice tone={lost.length > 0 ? 'stop' : isWhole(noted.limbs) ? 'good' : 'caution'}>
          <b>{t('limbs.title')}:</b> {isWhole(noted.limbs) ? t('entry.limbsFull') : saidOfLimbs(noted.limbs)}
        </Notice>
        {lost.flatMap(({ losses }) =>
          losses.map(({ limb, what, before, now }) => (
            <b key={`${limb} ${what}`} style={{ color: color('madder') }}>
              {t('limbs.lost', {
                limb: named('limb', limb),
                what: named('limbFunction', what),
                before: named('functionDegree', before),
                now: named('functionDegree', now),
              })}
            </b>
          )),
        )}
        {mayNote && (
          <Row>
            <Button onPress={() => setAgain(true)}>{t('limbs.again')}</Button>
          </Row>
        )}
      </Stack>
    );
  const felt = withRestFull(said);
  const isBegun = Object.keys(said).length > 0;
  const isComplete = limbs.every((limb) => limbFunctions.every((what) => said[limb]?.[what] !== undefined));
  // with the brace on it is held against what was recorded before it
  const same = (moment === 'after' && state.limbs.before?.limbs) || allFull;
  return (
    <Stack $gap={10}>
      <Stack $gap={4}>
        <h2>{t(`limbs.${moment}`)}</h2>
        {moment === 'after' && <Soft>{t('limbs.afterHow')}</Soft>}
      </Stack>
      <Limbs>
        {limbs.map((limb) => (
          <li key={limb}>
            {limbFunctions.map((what) => (
              <Choice
                key={what}
                isDisabled={!mayNote}
                label={`${named('limb', limb)}, ${named('limbFunction', what)}`}
                options={degreesOfFunction.map((value) => ({ value, label: named('functionDegree', value) }))}
                value={said[limb]?.[what]}
                onChange={(value) => set(limb, what, value)}
              />
            ))}
          </li>
        ))}
      </Limbs>
      {isBegun && (
        <Field
          label={t('limbs.note')}
          value={note}
          onChange={(text) => setDraft({ ...draft, note: text })}
          maxLength={400}
        />
      )}
      <Row>
        {isBegun ? (
          <>
            <Button
              look={isWhole(felt) ? 'main' : 'stop'}
              onPress={() => take(felt)}
              isDisabled={saving || !mayNote || (isWhole(felt) && !isComplete)}
            >
              {isWhole(felt)
                ? t('limbs.allFull')
                : t(isComplete ? 'limbs.record' : 'limbs.recordRestFull', { what: saidOfLimbs(felt) })}
            </Button>
            <Button look="quiet" onPress={() => setDraft({ said: {}, note: '' })}>
              {t('limbs.clear')}
            </Button>
          </>
        ) : (
          <Button look="main" onPress={() => take(same)} isDisabled={saving || !mayNote}>
            {isWhole(same) ? t('limbs.allFull') : t('limbs.asBefore', { what: saidOfLimbs(same) })}
          </Button>
        )}
        {!mayNote && <Soft>{t('common.notYourRole')}</Soft>}
      </Row>
    </Stack>
  );
}
