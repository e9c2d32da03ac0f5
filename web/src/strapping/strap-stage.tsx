import { boundsOf } from '@estribo/core/logbook';
import { partNamed, type Part } from '@estribo/core/brace';
import type { PartToDraw } from '@estribo/core/drawing';
import type { RunnerStep, Sequence } from '@estribo/core/strapping';
import { asWorn, hingeLevel } from '../figure/layer';
import { listName, stepWords } from '../messages/fitting';
import { OtherLists } from './other-lists';
import { SettingsWork } from '../setting/settings-work';
import { useEffect, useState } from 'react';
import { useDraft } from '../api/draft';
import styled from 'styled-components';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { color, size } from '../look/tokens';
import { named, t } from '../messages';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Big, Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { printReading } from '../parts/print';
import { printPosture } from '../parts/print-posture';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { Steps } from '../parts/steps';
import { useSaving } from '../parts/use-saving';

const Card = styled.section`
  background: ${color('sheet')};
  border: 1px solid ${color('line')};
  border-radius: 4px;
  padding: 20px 24px;
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 8px 24px;
  align-items: center;
`;

const Large = styled.p`
  font-size: ${size.title};
  line-height: 1.3;
  font-weight: 700;
`;

const Lead = styled.p`
  font-size: ${size.lead};
  line-height: 1.4;
`;

export default function StrapStage() {
  const { state, unit, write } = useWork();
  const mayNow = useMay('strap');
  const { now, steps, done, list, lists, unsuited } = state.strapping;
  const { programme } = state;
  const [saving, save] = useSaving();
  const mayStrap = mayNow('strapping.write');
  /** A part as it stands: the one in hand, closed in this round, or still to come. */
  const stateOf = (part: string): PartToDraw['state'] => {
    if (now && 'part' in now && now.part === part) return 'now';
    // in this round; one that is closed loose first and tightened later is closed already
    const of = steps.filter(
      (step) => step.kind === 'strap' && step.part === part && step.pass === (now?.pass ?? step.pass),
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
      {now ? (
        now.kind === 'settle' ? (
          <Settle
            key={now.id}
            step={now}
            saving={saving}
            mayStrap={mayStrap}
            onDone={(more) => void take(more)}
          />
        ) : (
          <StepCard
            key={`${now.id}-${now.pass}`}
            step={now}
            saving={saving}
            mayStrap={mayStrap}
            onDone={() => void take()}
          />
        )
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
            ` ${t('strapping.dropped', { length: printReading(state.strapping.settled.dropped, 'mm', unit) })}`}
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

/** What stands printed on the part that a step closes. */
const markOf = (step: RunnerStep, parts: readonly Part[]): string | undefined =>
  'part' in step && step.part !== undefined ? partNamed(parts, step.part)?.mark : undefined;

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

function StepCard({
  step,
  saving,
  mayStrap,
  onDone,
}: {
  step: RunnerStep;
  saving: boolean;
  mayStrap: boolean;
  onDone: () => void;
}) {
  const { state } = useWork();
  const { name, hold, caution } = stepWords(state.programme, step.id);
  const mark = markOf(step, state.parts);
  return (
    <>
      <Card aria-live="polite">
        <Big style={{ minWidth: 64, textAlign: 'center', color: color('saddle') }}>{mark ?? '○'}</Big>
        <div>
          <Large>{name}</Large>
          {step.pass > 1 && <Soft>{t('strapping.secondPassHow')}</Soft>}
        </div>
        <Soft>{t('strapping.posture')}</Soft>
        <Large>{printPosture(step.posture) || t('strapping.anyPosture')}</Large>
        {step.who && (
          <>
            <Soft>{t('strapping.who')}</Soft>
            <Lead>{named('people', step.who)}</Lead>
          </>
        )}
        {step.kind === 'strap' && step.pull && (
          <>
            <Soft>{t('strapping.pull')}</Soft>
            <Lead>{named('pulls', step.pull)}</Lead>
          </>
        )}
        {hold && (
          <>
            <Soft>{t(step.kind === 'look' ? 'strapping.look' : 'strapping.hold')}</Soft>
            <Lead>{hold}</Lead>
          </>
        )}
      </Card>
      {caution && <Notice tone="caution">{caution}</Notice>}
      {step.kind === 'set' && <SettingsWork only={step.setting} stage="strap" />}
      {mayStrap ? (
        <Row>
          <Button look="main" onPress={onDone} isDisabled={saving} autoFocus keycap="⏎">
            {step.kind !== 'strap'
              ? t('strapping.doneStep')
              : mark
                ? t('strapping.closed', { strap: mark })
                : t('strapping.closedPart', { part: name })}
          </Button>
        </Row>
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}

/** The settling walk: a clock that runs, and how far the brace has dropped. */
function Settle({
  step,
  saving,
  mayStrap,
  onDone,
}: {
  step: Extract<RunnerStep, { kind: 'settle' }>;
  saving: boolean;
  mayStrap: boolean;
  onDone: (more: { minutes: number; dropped?: number }) => void;
}) {
  const { state, unit } = useWork();
  const key = `estribo-walk-${state.case}-${state.seq}`;
  const [began, setBegan] = useState<number | undefined>(
    () => Number(sessionStorage.getItem(key)) || undefined,
  );
  const [now, setNow] = useState(() => Date.now());
  const [dropped, setDropped] = useDraft(`${state.case}-dropped`);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    if (began === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [began]);
  const wanted = step.minutes * 60;
  const passed = began === undefined ? 0 : Math.max(0, Math.floor((now - began) / 1000));
  const left = Math.max(0, wanted - passed);
  const clock = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  const done = () => {
    const minutes = Math.round((passed / 60) * 10) / 10;
    const take = (more: { dropped?: number }) => {
      setDropped('');
      onDone({ minutes, ...more });
    };
    if (dropped.trim() === '') return take({});
    if (/^0+$/.test(dropped.trim())) return take({ dropped: 0 });
    const read = readQuantity(dropped, 'length', unit);
    if ('problem' in read) return setProblem(read.problem);
    const outside = boundsProblem(
      t('strapping.droppedLabel'),
      read.value,
      boundsOf('strap.done', 'dropped'),
      (bound) => printReading(Math.abs(bound), 'mm', unit),
    );
    if (outside) return setProblem(outside);
    take({ dropped: read.value });
  };
  return (
    <>
      <Card>
        <Big role="timer" aria-label={t('strapping.timer')} style={{ minWidth: 96 }}>
          {clock}
        </Big>
        <div>
          <Large>{stepWords(state.programme, step.id).name}</Large>
          <Lead>{stepWords(state.programme, step.id).hold}</Lead>
        </div>
      </Card>
      {mayStrap ? (
        began === undefined ? (
          <Row>
            <Button
              look="main"
              autoFocus
              keycap="⏎"
              onPress={() => {
                const at = Date.now();
                sessionStorage.setItem(key, String(at));
                setNow(at);
                setBegan(at);
              }}
            >
              {t(`strapping.start.${step.how}`)}
            </Button>
          </Row>
        ) : (
          <>
            {left > 0 && (
              <Notice tone="caution">{t(`strapping.short.${step.how}`, { count: step.minutes })}</Notice>
            )}
            <Row $align="flex-end">
              <ReadingField
                small
                primary
                label={t('strapping.droppedLabel')}
                kind="length"
                unit={unit}
                sign={unit}
                value={dropped}
                onChange={(text) => {
                  setDropped(text);
                  setProblem(undefined);
                }}
                onEnter={done}
                problem={problem}
              />
              <Button look="main" onPress={done} isDisabled={saving}>
                {t(`strapping.ended.${step.how}`)}
              </Button>
            </Row>
          </>
        )
      ) : (
        <RoleReads permission="strapping.write" />
      )}
    </>
  );
}
