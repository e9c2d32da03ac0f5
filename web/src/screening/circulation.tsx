import { may } from '@estribo/core/access';
import { pulses, type Pulse } from '@estribo/core/screening';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';

type Side = 'left' | 'right';
interface SaidSide {
  pulse?: Pulse;
  refill: string;
}
type Said = Record<Side, SaidSide>;

const sides: readonly Side[] = ['left', 'right'];
const nothingSaid: Said = { left: { refill: '' }, right: { refill: '' } };

/** Pulse and refill of both sides before a limb's brace goes on. Nothing is preset. */
export function Circulation({ stage }: { stage: 'screen' | 'review' }) {
  const { state, user, unit, write } = useWork();
  const [said, setSaid] = useDraft(`${state.case}-circulation`, nothingSaid);
  const [again, setAgain] = useState(false);
  const [problems, setProblems] = useState<Partial<Record<Side | 'form', string>>>({});
  const [saving, save] = useSaving();
  const mayNote = may(user.role, 'screening.write');
  const noted = state.screening.circulation;
  if (noted?.last && !again) {
    const { last, slow } = noted;
    return (
      <Stack $gap={8}>
        <Notice tone={noted.signs.length > 0 ? 'stop' : slow ? 'caution' : 'good'}>
          <Stack $gap={4}>
            <span>
              <b>{t('circulation.title')}:</b>{' '}
              {sides
                .map((side) =>
                  t(last[side].refill === undefined ? 'circulation.said' : 'circulation.saidRefill', {
                    side: named('side', side),
                    pulse: named('pulse', last[side].pulse),
                    seconds: last[side].refill ?? '',
                  }),
                )
                .join(', ')}
            </span>
            {slow && <span>{t(slow === 'both' ? 'circulation.slowBoth' : 'circulation.slowBraced')}</span>}
          </Stack>
        </Notice>
        {mayNote && (
          <Row>
            <Button onPress={() => setAgain(true)}>{t('circulation.again')}</Button>
          </Row>
        )}
      </Stack>
    );
  }
  const set = (side: Side, more: Partial<SaidSide>) => {
    setProblems({});
    setSaid({ ...said, [side]: { ...said[side], ...more } });
  };
  const isBegun = sides.some((side) => said[side].pulse !== undefined);
  const take = () => {
    const pulseOf = (side: Side) => (isBegun ? said[side].pulse : 'felt');
    if (sides.some((side) => pulseOf(side) === undefined))
      return setProblems({ form: t('circulation.needsBoth') });
    const read = (side: Side) => {
      const typed = said[side].refill.trim();
      if (typed === '') return {};
      const found = readQuantity(typed, 'count', unit);
      return 'problem' in found || found.value < 0 || found.value > 30 ? undefined : { refill: found.value };
    };
    const wrong = sides.filter((side) => read(side) === undefined);
    if (wrong.length > 0)
      return setProblems(Object.fromEntries(wrong.map((side) => [side, t('circulation.refillWrong')])));
    const noteOf = (side: Side) => ({ pulse: pulseOf(side)!, ...read(side) });
    return void save(() =>
      write('circulation.noted', stage, { left: noteOf('left'), right: noteOf('right') }).then(() => {
        setSaid(nothingSaid);
        setAgain(false);
      }),
    );
  };
  return (
    <Stack $gap={10}>
      <Stack $gap={4}>
        <h2>{t('circulation.title')}</h2>
        <Soft>{t('circulation.how')}</Soft>
      </Stack>
      {sides.map((side) => (
        <Row key={side} $align="flex-end">
          <Choice
            isDisabled={!mayNote}
            label={t('circulation.pulseOf', {
              pulse: named('pulseAt', state.programme.region),
              side: named('side', side),
            })}
            options={pulses.map((value) => ({ value, label: named('pulse', value) }))}
            value={said[side].pulse}
            onChange={(pulse) => set(side, { pulse })}
          />
          <div data-aside>
            <Field
              label={t('circulation.refillOf', { side: named('side', side) })}
              value={said[side].refill}
              onChange={(refill) => set(side, { refill })}
              problem={problems[side]}
              inputMode="decimal"
              maxLength={5}
              width="190px"
            />
          </div>
        </Row>
      ))}
      {problems.form && <Notice tone="stop">{problems.form}</Notice>}
      <Row>
        <Button look="main" onPress={take} isDisabled={saving || !mayNote}>
          {t(isBegun ? 'circulation.record' : 'circulation.bothFelt')}
        </Button>
        {!mayNote && <Soft>{t('common.notYourRole')}</Soft>}
      </Row>
    </Stack>
  );
}
