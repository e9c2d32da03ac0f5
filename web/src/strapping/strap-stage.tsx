import type { PartToDraw } from '@estribo/core/drawing';
import { partsOfStep, type RunnerStep, type Sequence } from '@estribo/core/strapping';
import { useState } from 'react';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn, hingeLevel } from '../figure/layer';
import { named, t } from '../messages';
import { listName } from '../messages/fitting';
import { Button } from '../parts/button';
import { formatReading } from '../parts/format';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { LimbsFeltNote } from '../screening/limbs-felt';
import { screenOf } from '../shaping/kinds/all';
import { AskPolicy, Lost, Waits } from './before-the-list';
import { OtherLists } from './other-lists';
import { Runner } from './runner';
import { strapNumbers } from './strap-numbers';

/** How it goes on, step by step. */
export default function StrapStage() {
  const { state, unit, write } = useWork();
  const mayStrap = useMay('strap')('strapping.write');
  const { now, steps, done, list, lists, unsuited, waits, asksPolicy, lost, settled } = state.strapping;
  const { programme } = state;
  const [saving, save] = useSaving();
  const [ahead, setAhead] = useState<string>();
  const early = steps.find((step) => `${step.id}-${step.pass}` === ahead && step.state === 'ahead');
  const inHand = early ?? now;
  const isRunning = lost === undefined && waits.length === 0 && !asksPolicy;
  useStrapsOnFigure(isRunning ? inHand : undefined);

  const begin = (id: string | undefined, policy?: true) =>
    void save(() =>
      write('strap.begun', 'strap', {
        ...(id === undefined ? {} : { list: id }),
        ...(policy ? { policy } : {}),
      }),
    );
  const another = lists.filter(({ id }) => id !== list?.id);
  const [asked, setAsked] = useState<Sequence>();
  const idOf = (one: Sequence) => (lists.length > 1 ? one.id : undefined);
  /** A list that moves somebody is asked for its policy each time it begins, anew or in place of another. */
  const choose = (one: Sequence) => (one.handling ? setAsked(one) : begin(idOf(one)));
  const asksFor = asked ?? (asksPolicy ? list : undefined);

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('strapping.question')}</h1>
        <Soft>{t('strapping.how')}</Soft>
      </Stack>
      {list?.leads && (
        <Soft>
          {[
            t('strapping.leads', { who: named('people', list.leads) }),
            list.helpers === undefined ? '' : t('strapping.helpers', { count: list.helpers }),
          ]
            .filter(Boolean)
            .join(' ')}
        </Soft>
      )}
      {lost ? (
        <>
          <Lost />
          <LimbsFeltNote moment="after" since={lost.entry} />
        </>
      ) : lists.length === 0 ? (
        <Notice tone="stop">
          {t('strapping.noList', {
            lists: unsuited.map(({ id }) => listName(programme, id)).join('; '),
          })}
        </Notice>
      ) : waits.length > 0 ? (
        <Waits />
      ) : asksFor ? (
        <AskPolicy
          list={asksFor}
          saving={saving}
          mayStrap={mayStrap}
          onKnown={() => {
            begin(idOf(asksFor), true);
            setAsked(undefined);
          }}
          {...(asked ? { onCancel: () => setAsked(undefined) } : {})}
        />
      ) : inHand ? (
        <Runner step={inHand} ahead={early !== undefined} setAhead={setAhead} />
      ) : list ? (
        <Notice tone="good">{t(list.passes ? 'strapping.allDone' : 'strapping.allDoneOnce')}</Notice>
      ) : (
        <WhichList lists={lists} saving={saving} onChoose={choose} mayStrap={mayStrap} />
      )}
      {settled && (
        <Soft>
          {t(`strapping.settledFor.${steps.find((step) => step.kind === 'settle')?.how ?? 'walk'}`, {
            count: settled.minutes,
          })}
          {settled.dropped !== undefined &&
            ` ${t('strapping.dropped', { length: formatReading(settled.dropped, 'mm', unit) })}`}
        </Soft>
      )}
      {isRunning && list && done > 0 && mayStrap && !asked && (
        <Row>
          <Button look="quiet" onPress={() => choose(list)}>
            {t('strapping.again')}
          </Button>
          <Soft>{t('strapping.againHow')}</Soft>
        </Row>
      )}
      {list && lost === undefined && mayStrap && another.length > 0 && (
        <Row>
          {another.map((one) => (
            <Button key={one.id} look="quiet" isDisabled={saving} onPress={() => choose(one)}>
              {t('strapping.instead', { list: listName(programme, one.id) })}
            </Button>
          ))}
        </Row>
      )}
      <TrimList inHand={isRunning ? inHand : undefined} />
      <OtherLists />
    </>
  );
}

/** Straps as they stand: the one in hand, closed in this round, or still to come; numbered by the brace, or by the list. */
function useStrapsOnFigure(inHand: RunnerStep | undefined) {
  const { state } = useWork();
  const { steps, now } = state.strapping;
  const stateOf = (part: string): PartToDraw['state'] => {
    if (inHand && partsOfStep(inHand).includes(part)) return 'now';
    // in this round; one that is closed loose first and tightened later is closed already
    const of = steps.filter(
      (step) =>
        step.kind === 'strap' && partsOfStep(step).includes(part) && step.pass === (now?.pass ?? step.pass),
    );
    return of.length === 0 || of.some((step) => step.state === 'done') ? 'done' : 'ahead';
  };
  const reference = hingeLevel(state.parts);
  const numbers = strapNumbers(state.parts, steps);
  useFigureLayer({
    parts: asWorn(state.parts).map(({ part }) => ({
      part,
      state: stateOf(part.id),
      numbered: true,
      ...(numbers[part.id] === undefined ? {} : { number: numbers[part.id]! }),
    })),
    ...(reference ? { reference: { at: reference, named: false } } : {}),
    marks: [],
  });
}

/** Straps that may be brought to length, unless the step in hand shows the very work. */
function TrimList({ inHand }: { inHand: RunnerStep | undefined }) {
  const { state } = useWork();
  const cuts = state.shaping.work.filter(
    ({ operation }) =>
      operation.kind === 'cut' && !(inHand?.kind === 'work' && inHand.operation === operation.id),
  );
  return cuts.map((work) => {
    const { Piece } = screenOf(work.operation);
    return (
      <Stack key={work.operation.id} id={work.operation.id}>
        <Rule />
        <Piece work={work} stage="strap" />
      </Stack>
    );
  });
}

/** Several lists by which it may be put on: it is asked, never guessed. */
function WhichList({
  lists,
  saving,
  mayStrap,
  onChoose,
}: {
  lists: readonly Sequence[];
  saving: boolean;
  mayStrap: boolean;
  onChoose: (list: Sequence) => void;
}) {
  const { state } = useWork();
  return (
    <Stack $gap={10}>
      <h2>{t('strapping.which')}</h2>
      <Row>
        {lists.map((list, i) => (
          <Button
            key={list.id}
            look={i === 0 ? 'main' : 'second'}
            isDisabled={saving || !mayStrap}
            onPress={() => onChoose(list)}
          >
            {t('strapping.withPeople', {
              list: listName(state.programme, list.id),
              people: list.people.map((who) => named('people', who)).join(', '),
            })}
          </Button>
        ))}
      </Row>
      {!mayStrap && <RoleReads permission="strapping.write" />}
    </Stack>
  );
}
