import type { AnyRecordedEntry, CaseState, RecordLine } from '@estribo/core/logbook';
import { boundsOf } from '@estribo/core/logbook';
import {
  isReading,
  questionReading,
  stepAt,
  isMeasured,
  unitOf,
  type PostureStep,
  type Question,
  type ReadingStep,
} from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { size } from '../look/tokens';
import { named, t } from '../messages';
import { checkWords } from '../messages/fitting';
import { checkOf, checkQuantity, formatAmount, signOf } from '../checking/found';
import { AskedReading } from '../measuring/asked-reading';
import { boundsProblem, readingProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row } from '../parts/layout';
import { Notice } from '../parts/notice';
import { signed, unitSign } from '../parts/format';
import { readQuantity } from '../parts/reading-field';
import { useWork, visitBefore } from '../case/case-context';
import { describeEntry } from './describe-entry';

type Numeric = Extract<AnyRecordedEntry, { kind: 'measure.read' | 'check.recorded' }>;

/** An entry that says a number: that is what its correction asks for. */
const numericOf = ({ entry, status }: RecordLine): Numeric | undefined =>
  status !== 'unreadable' &&
  (entry.kind === 'measure.read' || (entry.kind === 'check.recorded' && entry.body.value !== undefined))
    ? entry
    : undefined;

/** What is typed for a number entry, read and held against its bounds, with the reason to ask about it. */
function readCorrection(
  entry: Numeric,
  text: string,
  state: CaseState,
  unit: LengthUnit,
): { value: number } | { problem: string } {
  if (entry.kind === 'check.recorded') {
    const check = checkOf(state, entry.body.check);
    const read = readQuantity(text, check ? checkQuantity(check) : 'count', unit);
    if ('problem' in read) return read;
    const problem = boundsProblem(
      checkWords(state.programme, entry.body.check).name,
      read.value,
      boundsOf('check.recorded', 'value'),
      (bound) => (check ? formatAmount(check, bound, unit) : signed(bound)),
    );
    return problem ? { problem } : read;
  }
  const step = state.measuring.steps.find(({ id }) => id === entry.body.step);
  const kept = isMeasured(step) ? unitOf(step) : 'mm';
  const minus = kept === 'degrees' && /^\s*[-−]/.test(text);
  const read = readQuantity(
    minus ? text.replace(/[-−]/, '') : text,
    kept === 'mm' ? 'length' : kept === 'kg' ? 'mass' : 'count',
    unit,
  );
  if ('problem' in read) return read;
  const value = minus ? -read.value : read.value;
  const problem = isMeasured(step) && readingProblem(named('steps', step.id), value, step, unit);
  return problem ? { problem } : { value };
}

/** Another value in the place of a wrong one, or the entry taken out; both with the reason. */
export function Correction({
  line,
  state,
  onClose,
}: {
  line: RecordLine;
  state: CaseState;
  onClose: () => void;
}) {
  const { entry } = line;
  const { write, unit, stature, today } = useWork();
  const [value, setValue] = useDraft(`${state.case}-correct-${entry.id}`);
  const [reason, setReason] = useDraft(`${state.case}-correct-${entry.id}-reason`);
  const [problem, setProblem] = useState<{ value?: string; reason?: string }>({});
  const [asked, ask] = useState<Question>();
  const numeric = numericOf(line);
  const step =
    numeric?.kind === 'measure.read'
      ? state.measuring.steps.find(
          (one): one is ReadingStep | PostureStep =>
            one.id === numeric.body.step && (isReading(one) || one.kind === 'posture'),
        )
      : undefined;
  const check = numeric?.kind === 'check.recorded' ? checkOf(state, numeric.body.check) : undefined;
  const said = describeEntry(line, state, unit);

  /** Why a reading should be asked about: as when it is taken, without the one it stands in for. */
  const questionOf = (read: number): Question | undefined => {
    if (numeric?.kind !== 'measure.read') return undefined;
    const at = stepAt(state.measuring.states, numeric.body.step, numeric.body.side);
    return (
      at &&
      questionReading({ ...at, readings: at.readings.filter((one) => one.entry !== entry.id) }, read, {
        states: state.measuring.states.filter((one) => one !== at),
        stature,
        braced: state.side,
        lastVisit: visitBefore(state, numeric.body.step, today),
      })
    );
  };
  const close = () => {
    setValue('');
    setReason('');
    onClose();
  };
  const options = { replaces: entry.id, reason: reason.trim() };
  const reasoned = (): boolean => {
    if (reason.trim().length >= 3) return true;
    setProblem({ reason: t('record.reasonNeeded') });
    return false;
  };
  const withdraw = async () => {
    if (!reasoned()) return;
    await write('record.withdrawn', line.status === 'unreadable' ? 'case' : entry.stage, {}, options);
    close();
  };
  const put = async (read: number, questioned?: Question['against']) => {
    if (numeric?.kind === 'measure.read') {
      const { questioned: _before, ...body } = numeric.body;
      await write(
        'measure.read',
        entry.stage,
        { ...body, value: read, ...(questioned ? { questioned } : {}) },
        options,
      );
    }
    if (numeric?.kind === 'check.recorded')
      await write('check.recorded', entry.stage, { ...numeric.body, value: read }, options);
    close();
  };
  const correct = () => {
    const read = readCorrection(numeric!, value, state, unit);
    if ('problem' in read) return setProblem({ value: read.problem });
    if (!reasoned()) return;
    const question = asked ? undefined : questionOf(read.value);
    if (question) return ask(question);
    void put(read.value, asked?.against);
  };
  const read = numeric && asked ? readCorrection(numeric, value, state, unit) : undefined;

  return (
    <Dialog
      title={t('record.correctTitle', { what: `${said.title}${said.value ? ` ${said.value}` : ''}` })}
      onClose={onClose}
    >
      <Notice tone="plain">{t('record.oldStays')}</Notice>
      {numeric && (
        <Field
          label={t('record.newValue', {
            unit:
              numeric.kind === 'measure.read'
                ? unitSign(isMeasured(step) ? unitOf(step) : 'mm', unit)
                : check
                  ? signOf(check, unit)
                  : '',
          })}
          value={value}
          onChange={(text) => {
            setValue(text);
            setProblem({});
            ask(undefined);
          }}
          problem={problem.value}
          autoFocus
        />
      )}
      <Field
        label={t('record.reason')}
        value={reason}
        onChange={setReason}
        problem={problem.reason}
        autoFocus={!numeric}
        maxLength={400}
      />
      {asked && step && read && 'value' in read && (
        <AskedReading
          step={step}
          value={read.value}
          question={asked}
          onTake={(taken, questioned) => void put(taken, questioned)}
          onChange={() => {
            ask(undefined);
            setValue('');
          }}
        />
      )}
      <Row>
        {numeric && !asked && (
          <Button look="main" onPress={correct}>
            {t('record.putInPlace')}
          </Button>
        )}
        <Button look={numeric ? 'second' : 'main'} onPress={() => void withdraw()}>
          {t('record.withdraw')}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
      <p style={{ fontSize: size.small }}>{t('record.after')}</p>
    </Dialog>
  );
}
