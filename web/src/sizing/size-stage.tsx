import { stands } from '@estribo/core/record';
import { decideSize } from '@estribo/core/sizing';
import type { MeasuringStep } from '@estribo/core/measuring';
import type { LengthUnit } from '@estribo/core/quantity';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { named, t } from '../messages';
import { figureLabel } from '../figure/figure-label';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import { Row, Rule, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';
import { Why } from '../parts/why';
import { fixed, formatReading, unitSign } from '../parts/format';
import { BestFit } from './best-fit';
import { HeightWork, heightNow, type ChosenHeight } from './height-choice';
import { formatAxis, unitOfAxis } from './print-axis';
import { percent } from '../parts/format';
import { SizeAnswer } from './size-answer';
import { SizeMore } from './size-more';
import { SizeStrips } from './size-strips';

const label = (step: MeasuringStep, value: number | undefined, unit: LengthUnit) => {
  const text = figureLabel(step, value, unit);
  return text ? { label: text } : {};
};

/** Stands for no stock size among the sizes to choose; no size is called so. */
const madeToMeasure = ' ';

/** Another size or height as it is chosen, before it is taken. */
interface SizeDraft {
  other?: string;
  reason: string;
  height?: ChosenHeight;
}

const noDraft: SizeDraft = { reason: '' };

export default function SizeStage() {
  const { state, unit, write } = useWork();
  const mayNow = useMay('size');
  const { match, chosen, readings, chart } = state.sizing;
  const [draft, setDraft] = useDraft<SizeDraft>(`${state.case}-size`, noDraft);
  const { other, reason, height } = draft;
  const setOther = (size: string | undefined) =>
    setDraft(size === undefined ? { reason: '', ...(height ? { height } : {}) } : { ...draft, other: size });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const [heightProblem, setHeightProblem] = useState<string>();
  useFigureLayer({
    marks: [],
    steps: state.measuring.steps.flatMap((step) =>
      chart.axes.some(({ reading }) => reading === step.id)
        ? [{ step, state: 'now' as const, ...label(step, readings[step.id]?.mean, unit) }]
        : [],
    ),
  });
  const mayDecide = mayNow('sizing.write');
  const computed =
    match.outcome === 'incomplete' || match.outcome === 'made-to-measure' ? undefined : match.size;

  const isChosen = chosen !== undefined && stands(chosen);
  // what is chosen is what would be chosen now: there is nothing left to take
  const settled = isChosen && height === undefined && chosen.decided.size === computed;
  const tall = height ?? heightNow(state.sizing);
  const take = (different?: { size: string | undefined; reason: string }) => {
    if (state.sizing.height && (!tall.height || tall.reason.trim().length < 3))
      return setHeightProblem(t(tall.height ? 'record.reasonNeeded' : 'sizing.sayHeight'));
    const body = decideSize(
      state,
      different,
      tall.height && { height: tall.height, reason: tall.reason.trim() },
    );
    if (!body) return;
    void save(() =>
      write('size.chosen', 'size', body).then(() => {
        setDraft(noDraft);
      }),
    );
  };
  const takeOther = () => {
    if (reason.trim().length < 3) return setProblem(t('record.reasonNeeded'));
    take({ size: other === madeToMeasure ? undefined : other!, reason: reason.trim() });
  };

  return (
    <>
      <Stack $gap={4}>
        <h1>{t('sizing.question')}</h1>
        <Soft>
          {state.model.name}, {state.model.maker} {state.model.invented && `(${t('common.invented')})`} ·{' '}
          {t('sizing.chartVersion', { version: chart.version })}
        </Soft>
      </Stack>
      <SizeStrips state={state} unit={unit} />
      <SizeAnswer state={state} unit={unit} />
      <SizeMore state={state} unit={unit} />
      {match.outcome !== 'incomplete' && (
        <>
          <Row $gap={20}>
            {match.probabilities
              .filter(({ probability }) => probability > 0.001)
              .map(({ size, probability }) => (
                <span key={size}>
                  <b>{size}</b> <Small>{percent(probability)}</Small>
                </span>
              ))}
          </Row>
          <Why
            rows={[
              ...chart.axes.map(({ reading }) => {
                const taken = readings[reading]!;
                return [
                  named('steps', reading),
                  t('sizing.whyReading', {
                    mean: formatAxis(state, reading, taken.mean, unit),
                    count: taken.repeats,
                    own: fixed(Math.hypot(taken.repeatPart, taken.alone ?? 0), 1),
                    shared: fixed(taken.sharedPart, 1),
                    u: fixed(Math.hypot(taken.repeatPart, taken.sharedPart, taken.alone ?? 0), 1),
                    unit: unitSign(unitOfAxis(state, reading), 'mm'),
                  }),
                ] as const;
              }),
              [t('sizing.whyProbability'), t('sizing.whyProbabilityText')],
              [
                t('sizing.whyRule'),
                t('sizing.whyRuleText', {
                  between: named('between', chart.between),
                  disagree: named('disagree', chart.disagree),
                }),
              ],
              [t('common.source'), t('sizing.whySource')],
            ]}
          />
        </>
      )}
      {chosen && (
        <Sheet>
          <Stack $gap={8}>
            <h2>
              {chosen.decided.size
                ? t('sizing.chosen', { size: chosen.decided.size })
                : t('sizing.chosenMadeToMeasure')}
            </h2>
            {chosen.decided.height && (
              <p>
                {named('heights', chosen.decided.height)}: {chosen.decided.heightReason}
              </p>
            )}
            {chosen.decided.sideExtension !== undefined && (
              <p>
                {t('sizing.sideExtension', {
                  length: formatReading(chosen.decided.sideExtension, 'mm', unit),
                })}
              </p>
            )}
            {chosen.decided.reason && <Soft>{chosen.decided.reason}</Soft>}
            {chosen.staleBecause.length > 0 && <Notice tone="caution">{t('common.stale')}</Notice>}
            {chosen.wouldDiffer && (
              <Notice tone="caution">
                {t('sizing.wouldDiffer', { size: computed ?? t('sizing.madeToMeasure') })}
              </Notice>
            )}
          </Stack>
        </Sheet>
      )}
      {!mayDecide && <Notice tone="caution">{t('sizing.waitsForOrthotist')}</Notice>}
      {mayDecide && match.outcome !== 'incomplete' && (
        <HeightWork
          state={state}
          chosen={tall}
          onChange={(changed) => {
            setDraft({ ...draft, height: changed });
            setHeightProblem(undefined);
          }}
          problem={heightProblem}
        />
      )}
      {mayDecide && match.outcome !== 'incomplete' && other === undefined && (
        <Row>
          {!settled && (
            <Button
              look={isChosen ? 'second' : 'main'}
              isDisabled={saving}
              onPress={() => (match.outcome === 'ask' ? setOther(match.size) : take())}
            >
              {match.outcome === 'made-to-measure'
                ? t('sizing.takeMadeToMeasure')
                : match.outcome === 'ask'
                  ? t('sizing.askYou')
                  : t('sizing.take', { size: match.size ?? '' })}
            </Button>
          )}
          <Button onPress={() => setOther(computed ?? chart.sizes[0]!)}>{t('sizing.other')}</Button>
        </Row>
      )}
      {other !== undefined && (
        <>
          <Rule />
          <Choice
            label={t('sizing.otherSize')}
            options={[
              ...chart.sizes.map((size) => ({ value: size, label: size })),
              // where the maker makes to measure as well, it can be chosen in spite of a stock size
              ...(chart.supply === 'both'
                ? [{ value: madeToMeasure, label: t('sizing.madeToMeasure') }]
                : []),
            ]}
            value={other}
            onChange={setOther}
          />
          <Field
            label={t('sizing.otherReason')}
            value={reason}
            onChange={(text) => setDraft({ ...draft, reason: text })}
            problem={problem}
            maxLength={400}
          />
          <Row>
            <Button look="main" isDisabled={saving} onPress={takeOther}>
              {other === madeToMeasure ? t('sizing.takeMadeToMeasure') : t('sizing.take', { size: other })}
            </Button>
            <Button look="quiet" onPress={() => setOther(undefined)}>
              {t('common.cancel')}
            </Button>
          </Row>
        </>
      )}
      <Rule />
      <Row>
        <Link to={`/cases/${state.case}/sheet`}>{t('sizing.sheet')}</Link>
        <Small>{t('sizing.sheetHow')}</Small>
      </Row>
      <div>
        <BestFit />
      </div>
    </>
  );
}
