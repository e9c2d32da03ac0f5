import type { PartToDraw } from '@estribo/core/drawing';
import { partsOfStep, type Sequence } from '@estribo/core/strapping';
import { asWorn, hingeLevel } from '../figure/layer';
import { listName, stepWords } from '../messages/fitting';
import { OtherLists } from './other-lists';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatReading } from '../parts/format';
import { Steps } from '../parts/steps';
import { useSaving } from '../parts/use-saving';
import { screenOf } from './kinds/all';
import type { StepProps } from './kinds/piece';
import { markOf, StepCard } from './step-card';

/** How it goes on, step by step. */
export default function StrapStage() {
  const { state, unit, write } = useWork();
  const mayNow = useMay('strap');
  const { now, steps, done, list, lists, unsuited } = state.strapping;
  const { programme } = state;
  const [saving, save] = useSaving();
  const mayStrap = mayNow('strapping.write');
  /** A part as it stands: the one in hand, closed in this round, or still to come. */
  const stateOf = (part: string): PartToDraw['state'] => {
    if (now && partsOfStep(now).includes(part)) return 'now';
    // in this round; one that is closed loose first and tightened later is closed already
    const of = steps.filter(
      (step) =>
        step.kind === 'strap' && partsOfStep(step).includes(part) && step.pass === (now?.pass ?? step.pass),
    );
    return of.length === 0 || of.some((step) => step.state === 'done') ? 'done' : 'ahead';
  };
  const reference = hingeLevel(state.parts);
  useFigureLayer({
    parts: asWorn(state.parts).map(({ part }) => ({ part, state: stateOf(part.id), numbered: true })),
    ...(reference ? { reference: { at: reference, named: false } } : {}),
    marks: [],
  });
  const take = (more: { minutes?: number; dropped?: number } = {}) =>
    now && save(() => write('strap.done', 'strap', { step: now.id, pass: now.pass, ...more }));

  const begin = (id: string | undefined) =>
    save(() => write('strap.begun', 'strap', id === undefined ? {} : { list: id }));
  // numbers that stand on the brace are not mixed with others
  const marked = steps.some((step) => markOf(step, state.parts) !== undefined);
  const another = lists.filter(({ id }) => id !== list?.id);

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('strapping.question')}</h1>
        <Soft>{t('strapping.how')}</Soft>
      </Stack>
      <Steps
        label={t('strapping.sequence')}
        steps={steps.map((step, i) => ({
          id: `${step.id}-${step.pass}`,
          mark:
            markOf(step, state.parts) ??
            (step.kind === 'settle' ? named('settle', step.how) : marked ? '·' : String(i + 1)),
          name: `${i + 1}. ${stepWords(programme, step.id).name}${step.pass === 2 ? ` (${t('strapping.secondPass')})` : ''}`,
          state: step.state,
        }))}
      />
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
      {now ? (
        <Now
          key={`${now.id}-${now.pass}`}
          step={now}
          saving={saving}
          mayStrap={mayStrap}
          onDone={(more) => void take(more)}
        />
      ) : list ? (
        <Notice tone="good">{t(list.passes ? 'strapping.allDone' : 'strapping.allDoneOnce')}</Notice>
      ) : lists.length === 0 ? (
        <Notice tone="stop">
          {t('strapping.noList', {
            lists: unsuited.map(({ id }) => listName(programme, id)).join('; '),
          })}
        </Notice>
      ) : (
        <WhichList lists={lists} saving={saving} onChoose={(id) => void begin(id)} mayStrap={mayStrap} />
      )}
      {state.strapping.settled && (
        <Soft>
          {t(`strapping.settledFor.${steps.find((step) => step.kind === 'settle')?.how ?? 'walk'}`, {
            count: state.strapping.settled.minutes,
          })}
          {state.strapping.settled.dropped !== undefined &&
            ` ${t('strapping.dropped', { length: formatReading(state.strapping.settled.dropped, 'mm', unit) })}`}
        </Soft>
      )}
      {done > 0 && mayStrap && (
        <Row>
          <Button look="quiet" onPress={() => void begin(lists.length > 1 ? list?.id : undefined)}>
            {t('strapping.again')}
          </Button>
          <Soft>{t('strapping.againHow')}</Soft>
        </Row>
      )}
      {list && mayStrap && another.length > 0 && (
        <Row>
          {another.map(({ id }) => (
            <Button key={id} look="quiet" isDisabled={saving} onPress={() => void begin(id)}>
              {t('strapping.instead', { list: listName(programme, id) })}
            </Button>
          ))}
        </Row>
      )}
      <OtherLists />
    </>
  );
}

/** The step in hand, with the card of its kind or its own. */
function Now(props: StepProps) {
  const { Whole } = screenOf(props.step);
  return Whole ? <Whole {...props} /> : <StepCard {...props} />;
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
  onChoose: (id: string) => void;
}) {
  const { state } = useWork();
  return (
    <Stack $gap={10}>
      <h2>{t('strapping.which')}</h2>
      <Row>
        {lists.map(({ id, people }, i) => (
          <Button
            key={id}
            look={i === 0 ? 'main' : 'second'}
            isDisabled={saving || !mayStrap}
            onPress={() => onChoose(id)}
          >
            {t('strapping.withPeople', {
              list: listName(state.programme, id),
              people: people.map((who) => named('people', who)).join(', '),
            })}
          </Button>
        ))}
      </Row>
      {!mayStrap && <RoleReads permission="strapping.write" />}
    </Stack>
  );
}
