import { askedFindings, findingRule, type Finding, type KnownFinding } from '@estribo/core/screening';
import { may } from '@estribo/core/access';
import { notHeld } from '@estribo/core/order';
import { useState } from 'react';
import { ToggleButton, ToggleButtonGroup, type Key } from 'react-aria-components';
import styled from 'styled-components';
import { useDraft } from '../api/draft';
import { useFigureLayer, useWork } from '../case/case-context';
import { bareLimb } from '../figure/layer';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Field } from '../parts/field';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatDay } from '../parts/format';
import { Tick } from '../parts/tick';
import { useSaving } from '../parts/use-saving';
import { Blocking } from './blocking';
import { LimbsFeltNote } from './limbs-felt';
import { OrderForm, type ShowsPlan } from './order-form';
import { OrderSummary } from './order-summary';

/** One stop of the tab key: inside it the arrows go from finding to finding. */
const Grid = styled(ToggleButtonGroup)`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 6px;
`;

const Mark = styled(ToggleButton)<{ $blocks: boolean }>`
  width: 100%;
  min-height: 44px;
  text-align: left;
  padding: 6px 12px;
  display: flex;
  gap: 10px;
  align-items: center;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
  cursor: pointer;
  font-size: ${size.text};
  line-height: 1.25;
  &::before {
    content: '';
    flex: none;
    width: 20px;
    height: 20px;
    border: 2px solid ${color('edge')};
    border-radius: ${({ $blocks }) => ($blocks ? '3px' : '50%')};
  }
  &[data-selected] {
    font-weight: 700;
    border-color: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
    background: ${({ $blocks }) => color($blocks ? 'madderWash' : 'ochreWash')};
  }
  &[data-selected]::before {
    content: '✕';
    display: grid;
    place-items: center;
    font-size: 14px;
    line-height: 1;
    color: ${color('sheet')};
    background: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
    border-color: ${({ $blocks }) => color($blocks ? 'madder' : 'ochre')};
  }
`;

export default function ScreenStage({ plan }: { plan: ShowsPlan }) {
  const { state } = useWork();
  const [looking, setLooking] = useState(false);
  useFigureLayer(bareLimb);
  const looked = state.screening.unanswered.length === 0;
  return (
    <>
      {looked && !looking ? (
        <LookResult onAgain={() => setLooking(true)} />
      ) : (
        <Look onTaken={() => setLooking(false)} />
      )}
      {looked && !looking && (
        <>
          {state.programme.limbs && <LimbsFeltNote moment="before" />}
          <Rule />
          <OrderPart plan={plan} />
        </>
      )}
    </>
  );
}

/** The look as it is ticked, before it is taken. */
interface Looking {
  present: Finding[];
  notes: Partial<Record<Finding, string>>;
  /** what is said not to be new, as far as it is said */
  known: Partial<Record<Finding, Partial<KnownFinding>>>;
}

const nothingFound: Looking = { present: [], notes: {}, known: {} };

/** Who knows of a finding and since when, once both are said; nothing is known since tomorrow. */
const saidKnown = ({ by, since }: Partial<KnownFinding> = {}, today: string): KnownFinding | undefined =>
  by?.trim() && since && since <= today ? { by: by.trim(), since } : undefined;

/** The look at the bare limb: what is found is touched, the rest is answered no in the same go. */
function Look({ onTaken }: { onTaken: () => void }) {
  const { state, user, today, write } = useWork();
  const [looking, setLooking] = useDraft(`${state.case}-look`, nothingFound);
  const [halfKnown, setHalfKnown] = useState<Finding>();
  const [saving, save] = useSaving();
  const { notes, known } = looking;
  const present = new Set(looking.present);
  const asked = askedFindings(state.programme.findings);
  const [blocking, qualifying] = [
    asked.filter((finding) => findingRule(finding).severity === 'blocks'),
    asked.filter((finding) => findingRule(finding).severity === 'qualifies'),
  ];
  const choose = (group: Finding[], chosen: Set<Key>) =>
    setLooking({
      ...looking,
      present: [
        ...looking.present.filter((one) => !group.includes(one) || chosen.has(one)),
        ...group.filter((one) => chosen.has(one) && !looking.present.includes(one)),
      ],
    });
  const setKnown = (finding: Finding, said: Partial<KnownFinding> | undefined) => {
    setHalfKnown(undefined);
    setLooking({ ...looking, known: { ...known, [finding]: said } });
  };
  const take = () => {
    const half = looking.present.find((finding) => known[finding] && !saidKnown(known[finding], today));
    if (half) return setHalfKnown(half);
    return save(async () => {
      await write('screen.looked', 'screen', {
        answers: asked.map((finding) => {
          const note = notes[finding]?.trim();
          const isKnown = saidKnown(known[finding], today);
          return {
            finding,
            present: present.has(finding),
            ...(present.has(finding) && note ? { note } : {}),
            ...(present.has(finding) && isKnown ? { known: isKnown } : {}),
          };
        }),
      });
      setLooking(nothingFound);
      onTaken();
    });
  };
  const list = (group: Finding[], blocks: boolean) => (
    <Grid
      aria-label={t(blocks ? 'screening.endsToday' : 'screening.qualifies')}
      selectionMode="multiple"
      selectedKeys={group.filter((finding) => present.has(finding))}
      onSelectionChange={(chosen) => choose(group, chosen)}
    >
      {group.map((finding) => (
        <Mark key={finding} id={finding} $blocks={blocks}>
          {named('findings', finding)}
        </Mark>
      ))}
    </Grid>
  );
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('screening.question')}</h1>
        <Soft>{t('screening.how')}</Soft>
      </Stack>
      <h2>{t('screening.endsToday')}</h2>
      {list(blocking, true)}
      <h2>{t('screening.qualifies')}</h2>
      {list(qualifying, false)}
      {[...present].map((finding) => (
        <Stack key={finding} $gap={8}>
          <Field
            label={t('screening.note', { finding: named('findings', finding) })}
            value={notes[finding] ?? ''}
            onChange={(note) => setLooking({ ...looking, notes: { ...notes, [finding]: note } })}
            maxLength={400}
          />
          {findingRule(finding).mayBeKnown && (
            <>
              <Tick
                isSelected={known[finding] !== undefined}
                onChange={(is) => setKnown(finding, is ? { since: today } : undefined)}
              >
                {t('screening.known')}
              </Tick>
              {known[finding] && (
                <Row $align="flex-start">
                  <Field
                    label={t('screening.knownBy')}
                    value={known[finding].by ?? ''}
                    onChange={(by) => setKnown(finding, { ...known[finding], by })}
                    problem={halfKnown === finding ? t('screening.knownNeeds') : undefined}
                    maxLength={120}
                  />
                  <DayField
                    label={t('screening.knownSince')}
                    value={known[finding].since}
                    onChange={(since) =>
                      setKnown(finding, { ...known[finding], ...(since ? { since } : {}) })
                    }
                    problem={undefined}
                  />
                </Row>
              )}
            </>
          )}
        </Stack>
      ))}
      <Row>
        <Button
          look="main"
          onPress={() => void take()}
          isDisabled={saving || !may(user.role, 'screening.write')}
        >
          {present.size === 0 ? t('screening.noneFound') : t('screening.someFound', { count: present.size })}
        </Button>
        {!may(user.role, 'screening.write') && <Soft>{t('common.notYourRole')}</Soft>}
      </Row>
    </>
  );
}

function LookResult({ onAgain }: { onAgain: () => void }) {
  const { state } = useWork();
  const { status, blocking, overridden, qualifying } = state.screening;
  return (
    <Stack $gap={12}>
      <Row style={{ justifyContent: 'space-between' }}>
        <h1>{t(status === 'blocked' ? 'screening.stop' : 'screening.mayFit')}</h1>
        <Button onPress={onAgain}>{t('screening.lookAgain')}</Button>
      </Row>
      {blocking.map((answer) => (
        <Blocking key={answer.finding} finding={answer.finding} of={answer.entry} note={answer.note} />
      ))}
      {overridden.map(({ answer, override }) => (
        <Notice key={answer.finding} tone="caution">
          <b>{named('findings', answer.finding)}</b> ·{' '}
          {t('screening.overridden', { reason: override.reason })}
        </Notice>
      ))}
      {qualifying.length > 0 && (
        <Notice tone="caution">
          <Stack $gap={6}>
            {qualifying.map(({ finding, note, known }) => (
              <span key={finding}>
                <b>{named('findings', finding)}.</b>{' '}
                {known && t('screening.isKnown', { by: known.by, day: formatDay(known.since) })}{' '}
                {named('findingAdvice', finding)} {note && <i>{note}</i>}
              </span>
            ))}
          </Stack>
        </Notice>
      )}
      {status === 'clear' && <Notice tone="good">{t('screening.clear')}</Notice>}
    </Stack>
  );
}

function OrderPart({ plan }: { plan: ShowsPlan }) {
  const { state, user } = useWork();
  const [changing, setChanging] = useDraft(`${state.case}-order-changing`, false);
  const mayOrder = may(user.role, 'order.write');
  if (state.order && !changing)
    return (
      <OrderSummary order={state.order.order}>
        {mayOrder && <Button onPress={() => setChanging(true)}>{t('order.new')}</Button>}
      </OrderSummary>
    );
  if (!mayOrder) return <Notice tone="caution">{t('order.waitsForOrthotist')}</Notice>;
  return (
    <OrderForm before={state.order && notHeld(state.order)} plan={plan} onDone={() => setChanging(false)} />
  );
}
