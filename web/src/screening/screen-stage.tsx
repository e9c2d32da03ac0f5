import { findings, type Finding } from '@estribo/core/screening';
import { may } from '@estribo/core/access';
import { useState } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { useFigureLayer, useWork } from '../case/case-context';
import { bareLimb } from '../figure/layer';
import { color, size } from '../app/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { Blocking } from './blocking';
import { OrderForm } from './order-form';
import { OrderSummary } from './order-summary';

const Grid = styled.ul`
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

export default function ScreenStage() {
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
          <Rule />
          <OrderPart />
        </>
      )}
    </>
  );
}

/** The look at the bare limb: what is found is touched, the rest is answered no in the same go. */
function Look({ onTaken }: { onTaken: () => void }) {
  const { state, user, write } = useWork();
  const [present, setPresent] = useState<ReadonlySet<Finding>>(new Set());
  const [notes, setNotes] = useState<Partial<Record<Finding, string>>>({});
  const [saving, save] = useSaving();
  const asked = state.programme.findings;
  const [blocking, qualifying] = [
    asked.filter((finding) => findings[finding].severity === 'blocks'),
    asked.filter((finding) => findings[finding].severity === 'qualifies'),
  ];
  const toggle = (finding: Finding, on: boolean) => {
    const next = new Set(present);
    if (on) next.add(finding);
    else next.delete(finding);
    setPresent(next);
  };
  const take = () =>
    save(async () => {
      await write('screen.looked', 'screen', {
        answers: asked.map((finding) => {
          const note = notes[finding]?.trim();
          return {
            finding,
            present: present.has(finding),
            ...(present.has(finding) && note ? { note } : {}),
          };
        }),
      });
      onTaken();
    });
  const list = (group: Finding[], blocks: boolean) => (
    <Grid>
      {group.map((finding) => (
        <li key={finding}>
          <Mark $blocks={blocks} isSelected={present.has(finding)} onChange={(on) => toggle(finding, on)}>
            {named('findings', finding)}
          </Mark>
        </li>
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
        <Field
          key={finding}
          label={t('screening.note', { finding: named('findings', finding) })}
          value={notes[finding] ?? ''}
          onChange={(note) => setNotes({ ...notes, [finding]: note })}
          maxLength={400}
        />
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
            {qualifying.map(({ finding, note }) => (
              <span key={finding}>
                <b>{named('findings', finding)}.</b> {named('findingAdvice', finding)} {note && <i>{note}</i>}
              </span>
            ))}
          </Stack>
        </Notice>
      )}
      {status === 'clear' && <Notice tone="good">{t('screening.clear')}</Notice>}
    </Stack>
  );
}

function OrderPart() {
  const { state, user } = useWork();
  const [changing, setChanging] = useState(false);
  const mayOrder = may(user.role, 'order.write');
  if (state.order && !changing)
    return (
      <OrderSummary order={state.order.order}>
        {mayOrder && <Button onPress={() => setChanging(true)}>{t('order.new')}</Button>}
      </OrderSummary>
    );
  if (!mayOrder) return <Notice tone="caution">{t('order.waitsForOrthotist')}</Notice>;
  return <OrderForm before={state.order?.order} onDone={() => setChanging(false)} />;
}
