import { bodyPartSide } from '../parts/body-part-side';
import { stances, type Stance } from '@estribo/core/brace';
import { ageOn } from '@estribo/core/calendar';
import {
  footLength,
  inSight,
  instrumentOf,
  isNotMoved,
  isReading,
  type AssessedReading,
  questionReading,
  shoeScales,
  stepAt,
  unitOf,
  untested,
  type MotionStep,
  type PostureStep,
  type Question,
  type ReadingStep,
  type ShoeScale,
  type StanceStep,
  type StepState,
} from '@estribo/core/measuring';
import type { BodyOf } from '@estribo/core/logbook';
import { isFree, testWindow } from '@estribo/core/order';
import { motionInWindow } from '@estribo/core/reviewing';
import { otherSide } from '@estribo/core/anatomy';
import { looksReversed, parseNeutralZero } from '@estribo/core/measuring';
import { useState } from 'react';
import { useWork, visitBefore } from '../case/case-context';
import { named, t } from '../messages';
import { readingProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { formatNumber, formatReading, saidUnderZero, formatWindow, unitSign } from '../parts/format';
import { useDraft } from '../api/draft';
import { quantityOf, ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { InstrumentLine } from '../instruments/instrument-line';
import { useInstrument, type FromInstrument } from '../instruments/use-instrument';
import { saidOfPosture } from './measured-table';
import { saidEnds } from './step-words';
import { AskedReading } from './asked-reading';
import { RepeatScale } from './repeat-scale';
import { Skip } from './skip';
import { Reject } from './reject';

interface TakeProps {
  at: StepState;
  onTurn: () => void;
  /** on to the next step, this one left open: only for what may be */
  onLeave: () => void;
}

/** One step taken: typed or read from an instrument, entered, and on to the next thing. */
export function Take(props: TakeProps) {
  const { step } = props.at;
  switch (step.kind) {
    case 'mark':
      return <Confirm {...props} />;
    case 'stance':
      return <Stands {...props} step={step} />;
    case 'motion':
      return <Motion {...props} step={step} />;
    default:
      return <Value {...props} step={step} />;
  }
}

/** The ways on from a step: the other side, leaving it out, taking a reading back. */
function OtherWays({ at, onTurn, onLeave }: TakeProps) {
  const { state } = useWork();
  const [open, setOpen] = useState<'skip' | 'reject'>();
  const mayStayOpen = at.step.optional === true && !at.done;
  const hasSubstitute = isReading(at.step) && at.step.substitute !== undefined;
  const seen = inSight(at) !== undefined && at.readings.length > 0;
  return (
    <>
      {state.side !== 'midline' && at.side !== 'midline' && (
        <Button onPress={onTurn} keycap="B">
          {bodyPartSide('otherPart', otherSide(at.side), state.programme.region)}
        </Button>
      )}
      {mayStayOpen && (
        <Button look="quiet" onPress={onLeave}>
          {t('measuring.leaveOpen')}
        </Button>
      )}
      {(!mayStayOpen || hasSubstitute) && (
        <Button look="quiet" onPress={() => setOpen('skip')}>
          {t(at.posture ? 'measuring.postureStays' : 'measuring.cannot')}
        </Button>
      )}
      {seen && (
        <Button look="quiet" onPress={() => setOpen('reject')}>
          {t('measuring.reject')}
        </Button>
      )}
      {open === 'skip' && <Skip at={at} onClose={() => setOpen(undefined)} />}
      {open === 'reject' && <Reject at={at} onClose={() => setOpen(undefined)} />}
    </>
  );
}

/** A mark on the skin: done or not. */
function Confirm(props: TakeProps) {
  const { write } = useWork();
  const { step, side, readings } = props.at;
  const [saving, save] = useSaving();
  const done = readings.length > 0;
  const take = () => {
    if (saving) return;
    void save(() => write('measure.marked', 'measure', { step: step.id, side }));
  };
  return (
    <>
      <Notice tone={done ? 'good' : 'plain'}>{t(done ? 'measuring.marked' : 'measuring.markStays')}</Notice>
      <Row>
        <Button key={step.id} look="main" onPress={take} autoFocus>
          {t('measuring.isMarked')}
        </Button>
        <OtherWays {...props} />
      </Row>
    </>
  );
}

/** How the patient stands, sits or lies: the named way and what is as right, or whichever it is. */
function Stands({ step, ...props }: TakeProps & { step: StanceStep }) {
  const { write } = useWork();
  const { side, done, stance } = props.at;
  const [saving, save] = useSaving();
  const others = step.stance ? (step.others ?? []) : stances;
  const take = (taken: Stance | undefined) =>
    void save(() =>
      write('measure.marked', 'measure', { step: step.id, side, ...(taken ? { stance: taken } : {}) }),
    );
  return (
    <>
      {done && stance && (
        <Notice tone="good">
          {t('measuring.stood')} {named('steps', stance)}
        </Notice>
      )}
      <Row>
        {step.stance && (
          <Button look="main" isDisabled={saving} onPress={() => take(undefined)} autoFocus>
            {t('measuring.isSo')}
          </Button>
        )}
        {others.map((other, i) => (
          <Button
            key={other}
            isDisabled={saving}
            onPress={() => take(other)}
            autoFocus={i === 0 && !step.stance}
          >
            {named('steps', other)}
          </Button>
        ))}
        <OtherWays {...props} />
      </Row>
    </>
  );
}

/** A reading that agrees with no other: mistyped? Rejected with one touch, or answered by another reading. */
function SettleReading({
  at: { readings },
  step,
  assessed,
}: {
  at: StepState;
  step: ReadingStep;
  assessed: AssessedReading;
}) {
  const { unit, write } = useWork();
  const [saving, save] = useSaving();
  const kept = unitOf(step);
  return (
    <Notice tone="caution" live>
      <Stack $gap={8}>
        <span>{t('measuring.settle', { count: assessed.alone.length })}</span>
        <Row>
          {assessed.alone.map((place) => (
            <Button
              key={place}
              isDisabled={saving}
              onPress={() =>
                void save(() =>
                  write(
                    'record.withdrawn',
                    'measure',
                    {},
                    { replaces: readings[place]!.entry, reason: t('measuring.settleReason') },
                  ),
                )
              }
            >
              {t('measuring.settleReject', { value: formatReading(assessed.values[place]!, kept, unit) })}
            </Button>
          ))}
        </Row>
      </Stack>
    </Notice>
  );
}

/** A reading of a number, asked about when it is odd, never refused. */
function Value({ at, step, ...rest }: TakeProps & { step: ReadingStep | PostureStep }) {
  const { state, unit, stature, born, today, write } = useWork();
  const { side, readings, assessed, substitute } = at;
  const [typed, type] = useDraft(`${state.case}-measure`);
  const [problem, setProblem] = useState<string>();
  const [asked, ask] = useState<{ question: Question; value: number; from?: FromInstrument }>();
  const [scale, setScale] = useState<ShoeScale>('iso');
  const [saving, save] = useSaving();
  const kept = unitOf(step);
  const reads = isReading(step);
  const count = readings.length + 1;
  const instrument = useInstrument(instrumentOf(step), { case: state.case, of: step.id, side });

  const what = named(reads ? 'steps' : 'joints', reads ? step.id : step.joint);
  const sided = {
    what,
    joint: what,
    side: named('side', side),
    ordinal: named('ordinals', String(Math.min(count, 4))),
  };
  const label = !reads
    ? t('measuring.angleLabel', sided)
    : step.repeats === 1
      ? t(side === 'midline' ? 'measuring.readingOnce' : 'measuring.readingOnceSide', sided)
      : t(side === 'midline' ? 'measuring.readingLabel' : 'measuring.readingLabelSide', sided);

  const enter = (value: number, from?: FromInstrument, questioned?: Question['against']) => {
    if (saving) return;
    // emptied at once: what is typed while this one is laid in the outbox belongs to the next
    type('');
    ask(undefined);
    const body: BodyOf<'measure.read'> = {
      step: step.id,
      side,
      value,
      instrument: from?.kind ?? (substitute === 'as-told' ? 'told' : instrumentOf(step)),
      ...(from ? { device: from.device, calibrated: from.calibrated, offset: from.offset } : {}),
      ...(questioned ? { questioned } : {}),
    };
    void save(() => write('measure.read', 'measure', body)).then((taken) => {
      // another one was still on its way: what was typed is not lost
      if (!taken) type(formatNumber(value, kept, unit));
    });
  };
  const consider = (value: number, from?: FromInstrument) => {
    const question = questionReading(at, value, {
      states: state.measuring.states,
      stature,
      braced: state.side,
      lastVisit: visitBefore(state, step.id, today),
    });
    if (question) ask({ question, value, ...(from ? { from } : {}) });
    else enter(value, from);
  };
  const take = () => {
    if (saving) return;
    if (asked && typed.trim() !== '') return enter(asked.value, asked.from, asked.question.against);
    const onScale = step.kind === 'shoe' && scale !== 'iso';
    const read = readQuantity(typed, onScale ? 'count' : quantityOf[kept], unit);
    if ('problem' in read) return setProblem(read.problem);
    const value = onScale ? footLength(read.value, scale) : read.value;
    const outside = readingProblem(label, value, step, unit);
    if (outside) return setProblem(outside);
    consider(value);
  };
  const fromInstrument = () => {
    if (saving) return;
    const taken = instrument.take();
    if (!taken) return setProblem(t('instruments.nothingYet'));
    setProblem(undefined);
    type(formatNumber(taken.value, kept, unit));
    consider(taken.value, taken);
  };

  const age = step.kind === 'age' && born ? ageOn(born, today) : undefined;
  // the age comes from the day of birth; it is typed only where that is not known here
  if (age !== undefined && readings.length === 0)
    return (
      <Row>
        <Button look="main" autoFocus isDisabled={saving} onPress={() => enter(Math.round(age * 10) / 10)}>
          {t('measuring.ageByBirth', { age: formatReading(age, 'years', unit) })}
        </Button>
        <OtherWays at={at} {...rest} />
      </Row>
    );
  return (
    <>
      <Row $gap={28} $align="flex-start">
        <Stack $gap={8}>
          <ReadingField
            primary
            label={label}
            side={side === 'midline' ? undefined : named('side', side)}
            kind={quantityOf[kept]}
            minusSaid={
              step.kind === 'posture' || step.kind === 'inclination'
                ? (amount) => saidUnderZero(step.kind === 'posture' ? step.joint : 'inclination', amount)
                : undefined
            }
            unit={unit}
            sign={
              step.kind === 'shoe' && scale !== 'iso'
                ? t(`measuring.shoeScales.${scale}`)
                : unitSign(kept, unit)
            }
            value={typed}
            onChange={(text) => {
              type(text);
              setProblem(undefined);
              ask(undefined);
            }}
            onEnter={take}
            onSpace={instrument.state === 'off' ? undefined : fromInstrument}
            problem={problem}
          />
          {step.kind === 'shoe' && (
            <Choice
              label={t('measuring.scale')}
              options={shoeScales.map((value) => ({ value, label: t(`measuring.shoeScales.${value}`) }))}
              value={scale}
              onChange={(chosen) => {
                setScale(chosen);
                ask(undefined);
              }}
            />
          )}
        </Stack>
        {reads && step.repeats !== 1 && <RepeatScale step={step} assessed={assessed} unit={unit} />}
        {!reads && at.posture && !at.posture.within && (
          <Notice tone="caution" live>
            {t('measuring.postureOff', { angle: at.posture.angle, off: Math.abs(at.posture.off) })}
          </Notice>
        )}
        {step.kind === 'shoe' &&
          scale !== 'iso' &&
          Number.isFinite(Number(typed.replace(',', '.'))) &&
          typed !== '' && (
            <Soft style={{ maxWidth: 300 }}>
              {t('measuring.shoeEstimate', {
                length: formatReading(footLength(Number(typed.replace(',', '.')), scale), 'mm', unit),
              })}
            </Soft>
          )}
      </Row>
      {reads && assessed?.needs === 'settle' && <SettleReading at={at} step={step} assessed={assessed} />}
      {at.outOfPosture && <Notice tone="caution">{saidOfPosture(at.outOfPosture)}</Notice>}
      {substitute && <Soft>{named('substituted', substitute)}</Soft>}
      {asked && (
        <AskedReading
          step={step}
          value={asked.value}
          question={asked.question}
          onTake={(value, questioned) => enter(value, asked.from, questioned)}
          onChange={() => {
            ask(undefined);
            type('');
          }}
        />
      )}
      <InstrumentLine
        kind={instrumentOf(step)}
        instrument={instrument}
        unit={kept}
        bySpace
        onTake={fromInstrument}
      />
      <Row>
        <Button key={step.kind} look="main" onPress={take} keycap="⏎">
          {t('measuring.take')}
        </Button>
        <OtherWays at={at} {...rest} />
      </Row>
    </>
  );
}

/** A joint's motion by neutral zero, mode by mode, inside the ordered window only. */
function Motion({ at, step, ...rest }: TakeProps & { step: MotionStep }) {
  const { state, unit, today, write } = useWork();
  const [typed, type] = useDraft(`${state.case}-motion-measure`);
  const [problem, setProblem] = useState<string>();
  const [beyond, setBeyond] = useState(false);
  const [reversed, setReversed] = useState(false);
  const [saving, save] = useSaving();
  const now = stepAt(state.measuring.states, step.id, at.side) ?? at;
  const also = untested({ modes: step.mayAlso ?? [] }, now.motions);
  const mode = untested(step, now.motions)[0] ?? also[0] ?? step.modes[0]!;
  const isBraced = at.side === state.side || at.side === 'midline';
  const window = (isBraced && state.order && testWindow(state.order.order, today, step)) || {};
  const take = (knowingly: boolean) => {
    if (saving) return;
    const reached = parseNeutralZero(typed);
    if (!reached) return setProblem(t('setting.neutralZeroHow'));
    if (step.plane === 'sagittal' && looksReversed(reached) && !reversed) return setReversed(true);
    const tested = motionInWindow(reached, window);
    if (tested.beyond && !knowingly) return setBeyond(true);
    type('');
    setBeyond(false);
    setReversed(false);
    void save(() =>
      write('motion.tested', 'measure', {
        step: step.id,
        side: at.side,
        mode,
        ...reached,
        limitReached: tested.test.limitReached,
      }),
    ).then((taken) => {
      // another one was still on its way: what was typed is not lost
      if (!taken) type(typed);
    });
  };
  return (
    <>
      {isBraced && mode === 'passive' && isNotMoved(step, state.order?.order.injuries ?? []) && (
        <Notice tone="stop">{t('measuring.notMoved')}</Notice>
      )}
      <Row $gap={28} $align="flex-start">
        <ReadingField
          primary
          side={at.side === 'midline' ? undefined : named('side', at.side)}
          label={t('measuring.motionLabel', {
            what: named('steps', step.id),
            mode: `${named('mode', mode)}${at.side === 'midline' ? '' : `, ${named('side', at.side)}`}`,
          })}
          kind="text"
          unit={unit}
          sign=""
          value={typed}
          onChange={(text) => {
            type(text);
            setProblem(undefined);
            setBeyond(false);
            setReversed(false);
          }}
          onEnter={() => take(false)}
          problem={problem}
        />
        <Stack $gap={4} style={{ maxWidth: 300 }}>
          <p>{saidEnds(step).join(', ')}</p>
          {!isFree(window) && <p>{t('measuring.motionWindow', { window: formatWindow(window, step) })}</p>}
        </Stack>
      </Row>
      {reversed && !beyond && (
        <Notice tone="caution" live>
          {t('setting.motionReversed')}
        </Notice>
      )}
      {beyond && (
        <Notice tone="stop" live>
          <Stack $gap={8}>
            {t('setting.motionBeyond', { window: formatWindow(window, step) })}
            <Row>
              <Button look="stop" onPress={() => take(true)}>
                {t('setting.motionHappened')}
              </Button>
            </Row>
          </Stack>
        </Notice>
      )}
      <Row>
        <Button look="main" onPress={() => take(false)} keycap="⏎">
          {t('measuring.take')}
        </Button>
        <OtherWays at={at} {...rest} />
      </Row>
    </>
  );
}
