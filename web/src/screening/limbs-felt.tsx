import { may } from '@estribo/core/access';
import {
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
import { Tick } from '../parts/tick';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';

const Limbs = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 10px 18px;
  & li {
    border-top: 1px solid ${color('line')};
    padding-top: 6px;
  }
`;

const whole = Object.fromEntries(
  limbs.map((limb) => [limb, { movement: 'full', sensation: 'full' }]),
) as unknown as LimbsFelt;

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

/** Movement and sensation in arms and legs, noted before a trunk or neck brace goes on or once it is on. */
export function LimbsFeltNote({ moment }: { moment: 'before' | 'after' }) {
  const { state, user, write } = useWork();
  // what is found is noted whatever stops the fitting: a loss, and that it has come back
  const mayNote = may(user.role, 'screening.write');
  const noted = state.limbs[moment];
  const [draft, setDraft] = useDraft(`${state.case}-limbs-${moment}`, {
    felt: whole,
    open: [] as Limb[],
    note: '',
  });
  const [again, setAgain] = useState(false);
  const [saving, save] = useSaving();
  const { felt, open, note } = draft;
  const set = (limb: Limb, what: LimbFunction, degree: DegreeOfFunction) =>
    setDraft({ ...draft, felt: { ...felt, [limb]: { ...felt[limb], [what]: degree } } });
  const take = () =>
    void save(() =>
      write('limbs.noted', moment === 'before' ? 'screen' : 'check', {
        moment,
        limbs: felt,
        ...(note.trim() ? { note: note.trim() } : {}),
      }).then(() => {
        setDraft({ felt: whole, open: [], note: '' });
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
  return (
    <Stack $gap={10}>
      <Stack $gap={4}>
        <h2>{t(`limbs.${moment}`)}</h2>
        {moment === 'after' && <Soft>{t('limbs.afterHow')}</Soft>}
      </Stack>
      <Row $gap={20}>
        {limbs.map((limb) => (
          <Tick
            key={limb}
            isSelected={open.includes(limb)}
            onChange={(less) =>
              setDraft({
                ...draft,
                open: less ? [...open, limb] : open.filter((one) => one !== limb),
                felt: less ? felt : { ...felt, [limb]: whole[limb] },
              })
            }
          >
            {t('limbs.lessIn', { limb: named('limb', limb) })}
          </Tick>
        ))}
      </Row>
      <Limbs>
        {open.map((limb) => (
          <li key={limb}>
            {limbFunctions.map((what) => (
              <Choice
                key={what}
                label={`${named('limb', limb)}, ${named('limbFunction', what)}`}
                options={degreesOfFunction.map((value) => ({ value, label: named('functionDegree', value) }))}
                value={felt[limb][what]}
                onChange={(value) => set(limb, what, value)}
              />
            ))}
          </li>
        ))}
      </Limbs>
      {!isWhole(felt) && (
        <Field
          label={t('limbs.note')}
          value={note}
          onChange={(text) => setDraft({ ...draft, note: text })}
          maxLength={400}
        />
      )}
      <Row>
        <Button look="main" onPress={take} isDisabled={saving || !mayNote}>
          {t(isWhole(felt) && open.length === 0 ? 'limbs.allFull' : 'limbs.take')}
        </Button>
        {!mayNote && <Soft>{t('common.notYourRole')}</Soft>}
      </Row>
    </Stack>
  );
}
