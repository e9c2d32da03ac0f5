import { bendDone, leavesOf, type BarState, type FrameLimits, type PlannedWork } from '@estribo/core/shaping';
import { Check } from 'lucide-react';
import { useState } from 'react';
import styled from 'styled-components';
import { useMay, useWork } from '../case/case-context';
import { useEntryForm } from '../entry-form/use-entry-form';
import { color, size } from '../look/tokens';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Row, Small, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField } from '../parts/reading-field';
import type { WorkStage } from './kinds/piece';
import { halfDegrees, markOf, placeOnBar, wayOfTurn, wayWords } from './bar-words';

const Sheet = styled.ol`
  border: 1px solid ${color('line')};
  border-radius: 4px;
  background: ${color('sheet')};
  & > li + li {
    border-top: 1px solid ${color('line')};
  }
`;

const Line = styled.button<{ $now: boolean }>`
  display: grid;
  grid-template-columns: 32px minmax(120px, 160px) minmax(0, 1fr) minmax(0, 104px);
  gap: 4px 12px;
  align-items: center;
  width: 100%;
  padding: 10px 12px;
  min-height: 44px;
  border: 0;
  border-left: 3px solid ${({ $now }) => ($now ? color('river') : 'transparent')};
  background: none;
  color: ${color('ink')};
  text-align: left;
  font: inherit;
  cursor: pointer;
  &:focus-visible {
    outline: 3px solid ${color('river')};
    outline-offset: -3px;
  }
  @media (max-width: 640px) {
    grid-template-columns: 32px minmax(0, 1fr);
    & > :nth-child(n + 3) {
      grid-column: 2;
    }
  }
`;

const Numbered = styled.span<{ $done: boolean }>`
  width: 28px;
  height: 28px;
  border-radius: 50%;
  display: grid;
  place-items: center;
  font-weight: 700;
  font-size: ${size.text};
  background: ${({ $done }) => color($done ? 'mossWash' : 'river')};
  color: ${({ $done }) => color($done ? 'moss' : 'onRiver')};
`;

/** What is said of a planned bend: how much of it stays, how far the hand goes for it, how many passes are left. */
export function saidOfWork(bar: BarState, { turn, done, next }: PlannedWork): string {
  const direction = wayWords(bar, turn);
  if (!next)
    return t(Math.abs(done - turn) <= bendDone ? 'shaping.workDone' : 'shaping.workOver', {
      amount: halfDegrees(Math.abs(done)),
      direction,
    });
  if (!next.ok) return t(next.why === 'look-first' ? 'shaping.lookFirst' : 'shaping.staysElastic');
  return [
    t('shaping.workKeeps', { amount: halfDegrees(next.keeps), direction }),
    ...(next.hand === undefined ? [] : [t('shaping.workHand', { hand: halfDegrees(next.hand) })]),
    ...(next.passes > 1 ? [t('shaping.passes', { count: next.passes })] : []),
  ].join('; ');
}

/**
 * The plan as a numbered working list: where, how much stays and which way, how far the hand goes, what it is laid on. What is done
 * next stands under it with its one action.
 */
export function BendList({ bar, frame, stage }: { bar: BarState; frame: FrameLimits; stage: WorkStage }) {
  const { unit, state } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const [picked, pick] = useState<number>();
  const { plan } = bar;
  const open = plan?.work.flatMap(({ next }, i) => (next?.ok ? [i] : [])) ?? [];
  const now = picked !== undefined && open.includes(picked) ? picked : open[0];
  const work = now === undefined ? undefined : plan?.work[now];
  const next = work?.next?.ok ? work.next : undefined;
  const {
    typed: { hand },
    type,
    problems,
    saving,
    submit,
  } = useEntryForm({
    kind: 'work.done',
    stage,
    draft: `bend-${bar.part.id}-${work?.at}`,
    empty: { hand: '' },
    body: (_typed, { numberOrNone, wrong }) => {
      const typed = numberOrNone('hand', {
        label: t('shaping.handOtherwise', { hand: '' }),
        quantity: 'degrees',
      });
      if (typed !== undefined && (typed <= 0 || typed > 60)) wrong('hand', t('shaping.handBetween'));
      const { at, turn } = work!;
      const went = typed ?? next!.hand;
      const hands = bar.made.filter(({ place }) => Math.abs(place - at) < 1).map((one) => one.hand ?? 0);
      // what another hand leaves is computed anew: it may be nothing
      const keeps =
        typed !== undefined && bar.spring
          ? leavesOf(Math.sign(turn) * typed, hands, bar.spring.elastic)
          : next!.keeps;
      if (keeps < 0.05) wrong('hand', t('shaping.nothingKept'));
      return {
        operation: bar.operation,
        part: bar.part.id,
        at,
        direction: wayOfTurn(turn),
        amount: Math.round(keeps * 100) / 100,
        ...(went === undefined ? {} : { hand: Math.round(went * 10) / 10 }),
      };
    },
    done: () => pick(undefined),
  });
  if (!plan) return null;
  return (
    <Stack $gap={10}>
      <Sheet aria-label={t('shaping.workingList')}>
        {plan.work.map((one, i) => (
          <li key={one.at}>
            <Line
              type="button"
              $now={i === now}
              aria-current={i === now ? 'step' : undefined}
              disabled={!open.includes(i)}
              onClick={() => pick(i)}
            >
              <Numbered $done={!one.next} aria-hidden>
                {one.next ? i + 1 : <Check size={16} />}
              </Numbered>
              <b>{placeOnBar(bar, one.at, unit)}</b>
              <span>{saidOfWork(bar, one)}</span>
              <Small>
                {one.made.length > 0 && !one.next
                  ? t('shaping.madeOnce', { count: one.made.length })
                  : t(bar.byHand ? 'shaping.layOnMark' : 'shaping.layOn', { mark: markOf(i) })}
              </Small>
            </Line>
          </li>
        ))}
      </Sheet>
      {mayShape && work && next && (
        <>
          <Notice tone="caution">
            {t(bar.byHand ? 'shaping.cautionHand' : 'shaping.cautionIrons', {
              increment: frame.increment,
              part: state.model.name,
            })}
          </Notice>
          <Row $align="flex-end">
            {next.hand !== undefined && (
              <ReadingField
                small
                label={t('shaping.handOtherwise', { hand: halfDegrees(next.hand) })}
                kind="degrees"
                unit={unit}
                sign="°"
                value={hand}
                onChange={(text) => type({ hand: text })}
                onEnter={submit}
                problem={problems.hand}
              />
            )}
            <Button look="main" onPress={submit} isDisabled={saving}>
              {t(bar.byHand ? 'shaping.stepMade' : 'shaping.bendMade', { number: now! + 1 })}
            </Button>
          </Row>
        </>
      )}
    </Stack>
  );
}
