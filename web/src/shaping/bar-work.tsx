import {
  barAfter,
  benchOrder,
  barTolerance,
  coronalSet,
  decideBends,
  gapLeft,
  isBent,
  jawOf,
  onBar,
  planRequest,
  type BarBend,
  type BarState,
  type BendChoice,
  type FrameLimits,
  type PlanRequest,
} from '@estribo/core/shaping';
import { useState } from 'react';
import { Link } from 'react-router';
import { useDraft } from '../api/draft';
import { useMay, useWork } from '../case/case-context';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Fold } from '../parts/fold';
import { fixed, formatFine } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { BarPicture } from './bar-picture';
import { barName, saidBend } from './bar-words';
import { BendChoices } from './bend-choices';
import { BendList } from './bend-list';
import { ContourEntry } from './contour-entry';
import { GapsEntry } from './gaps-entry';
import type { WorkStage } from './kinds/piece';
import { useBendPlan } from './use-bend-plan';

/** What a choice of the search is on the bar itself. */
const chosenOf = (choices: readonly BendChoice[], count: number | undefined): BendChoice | undefined =>
  choices.find(({ bends }) => bends.length === count) ??
  // the fewest bends that lie within what is allowed; else those that come nearest
  choices.find(({ gap }) => gap <= barTolerance) ??
  choices.at(-1);

/** Choices with the gap that each leaves on the bar itself: placed along it, in whole millimetres and tenths of a degree. */
const onTheBar = (bar: BarState, request: PlanRequest, choices: readonly BendChoice[]): BendChoice[] =>
  choices.map((choice) => ({
    ...choice,
    gap: gapLeft(bar, barAfter(bar, onBar(request, choice))) ?? choice.gap,
  }));

/** A bar bent to its contour: taken, planned, bent pass by pass, looked at, planned again. */
export function BarWork({
  bar,
  frame,
  stage,
  sets,
}: {
  bar: BarState;
  frame: FrameLimits;
  stage: WorkStage;
  sets: boolean;
}) {
  const { state, unit, write } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const [entering, enter] = useState<'contour' | 'gaps' | 'plan'>();
  const [count, setCount] = useState<number>();
  const [saving, save] = useSaving();
  const { contour, plan } = bar;
  const untouched = plan !== undefined && plan.work.every(({ made }) => made.length === 0);
  const isPlanning =
    contour !== undefined &&
    (entering === 'plan' || (plan?.purpose !== 'set' && (plan === undefined || plan.stale || untouched)));
  const asked = planRequest(bar, frame);
  const planning = useBendPlan(isPlanning && mayShape ? asked : undefined);
  const choices = planning.step === 'done' ? onTheBar(bar, planning.request, planning.choices) : [];
  const looked = planning.step === 'done' ? chosenOf(choices, count) : undefined;
  const placed = looked && planning.step === 'done' ? onBar(planning.request, looked) : undefined;
  const isLooking =
    looked !== undefined && (plan === undefined || plan.stale || entering === 'plan' || count !== undefined);
  const ahead: (BarBend & { number: number })[] =
    isLooking && placed
      ? [...placed].sort(benchOrder(bar.byHand)).map((bend, i) => ({ ...bend, number: i + 1 }))
      : (plan?.work ?? []).flatMap(({ at, turn, done, next }, i) =>
          next ? [{ at, turn: turn - done, number: i + 1 }] : [],
        );
  const after = ahead.length > 0 ? barAfter(bar, ahead) : undefined;
  // in the order of the list: what the bar is laid on after each
  const between = ahead.slice(0, -1).map((_, i) => barAfter(bar, ahead.slice(0, i + 1)));
  const gapNow = gapLeft(bar, bar.shape);
  const lies = gapNow !== undefined && gapNow <= barTolerance && bar.made.length > 0;
  const takePlan = () => {
    if (!placed) return;
    const body = decideBends(state, bar.part.id, 'contour', placed);
    if (body)
      void save(() =>
        write('shape.planned', 'shape', body).then(() => {
          enter(undefined);
          setCount(undefined);
        }),
      );
  };
  const title = barName(state, bar.part.id);
  if (!asked.ok && (asked.why === 'unbent' || asked.why === 'not-bendable'))
    return (
      <Stack $gap={12}>
        <h2>{title}</h2>
        <Notice tone="stop">{named('noPlan', asked.why)}</Notice>
      </Stack>
    );
  if (!contour || entering === 'contour')
    return (
      <Stack $gap={12}>
        <h2>{title}</h2>
        <Soft>{saidOfBar(bar, frame)}</Soft>
        {sets && <CoronalSet bar={bar} frame={frame} stage={stage} />}
        <BendList bar={bar} frame={frame} stage={stage} />
        {mayShape ? (
          <ContourEntry bar={bar} reach={frame.reach} onTaken={() => enter(undefined)} />
        ) : (
          <Soft>{t('shaping.noContour')}</Soft>
        )}
      </Stack>
    );
  return (
    <Stack $gap={12}>
      <div>
        <h2>{title}</h2>
        <Soft>{saidOfBar(bar, frame)}</Soft>
      </div>
      <BarPicture bar={bar} frame={frame} bends={ahead} after={after} between={between} />
      {!asked.ok && (
        <Notice tone={asked.why === 'nothing-left' ? 'stop' : 'caution'}>{named('noPlan', asked.why)}</Notice>
      )}
      {plan?.stale && <Notice tone="caution">{t('shaping.planStale')}</Notice>}
      {lies && <Notice tone="good">{t('shaping.barLies', { gap: formatFine(gapNow, 'mm', unit) })}</Notice>}
      {bar.unexplained > 2 && (
        <Notice tone="caution">
          {t('shaping.unexplained', { gap: formatFine(bar.unexplained, 'mm', unit) })}
        </Notice>
      )}
      {planning.step === 'running' && (
        <Row role="status">
          <progress max={1} value={planning.share} aria-label={t('shaping.planning')} />
          <Soft>{t('shaping.planning')}</Soft>
          <Button onPress={planning.cancel}>{t('shaping.cancelPlan')}</Button>
        </Row>
      )}
      {(planning.step === 'cancelled' || planning.step === 'failed') && (
        <Row role="status">
          <Soft>{t(planning.step === 'failed' ? 'shaping.planFailed' : 'shaping.planCancelled')}</Soft>
          <Button onPress={planning.again}>{t('shaping.planAgain')}</Button>
        </Row>
      )}
      {/* what no bend can better is not offered as a choice */}
      {choices.length > 0 && (
        <>
          {choices.some(({ bends }) => bends.length > 0) && (
            <BendChoices
              choices={choices}
              chosen={isLooking ? looked?.bends.length : plan?.work.length}
              onChoose={setCount}
            />
          )}
          {isLooking && placed?.length === 0 && (
            <Soft>
              {t(lies ? 'shaping.nothingToBend' : 'shaping.noNearer', {
                gap: formatFine(gapNow ?? 0, 'mm', unit),
              })}
            </Soft>
          )}
          {isLooking && placed && placed.length > 0 && (
            <Row>
              <Button look="main" onPress={takePlan} isDisabled={saving}>
                {t('shaping.takePlan', { count: placed.length })}
              </Button>
            </Row>
          )}
        </>
      )}
      {!(isLooking && plan === undefined) && <BendList bar={bar} frame={frame} stage={stage} />}
      {entering === 'gaps' ? (
        <GapsEntry bar={bar} onTaken={() => enter(undefined)} onCancel={() => enter(undefined)} />
      ) : (
        mayShape && (
          <Row>
            <Button onPress={() => enter('gaps')}>{t('shaping.measureGaps')}</Button>
            {plan && !isPlanning && (
              <Button look="quiet" onPress={() => enter('plan')}>
                {t('shaping.planAgain')}
              </Button>
            )}
            <Link to={`/cases/${state.case}/bend-template/${bar.part.id}`}>{t('shaping.template')}</Link>
            <Button look="quiet" onPress={() => enter('contour')}>
              {t('shaping.newContour')}
            </Button>
          </Row>
        )
      )}
      {bar.spring && bar.spring.passes > 0 && (
        <Soft>
          {t('shaping.learned', {
            elastic: fixed(bar.spring.elastic, 1),
            within: fixed(bar.spring.within, 1),
            count: bar.spring.passes,
          })}
        </Soft>
      )}
      {bar.made.length > 0 && (
        <Fold title={t('shaping.madeSoFar', { count: bar.made.length })}>
          <ol>
            {bar.made.map((one, i) => (
              <li key={one.entry}>
                <b>{i + 1}.</b> {saidBend(bar, one, unit)}
              </li>
            ))}
          </ol>
        </Fold>
      )}
      {plan && isBent(bar) && !lies && <Soft>{t('shaping.bentLook')}</Soft>}
      {sets && <CoronalSet bar={bar} frame={frame} stage={stage} />}
    </Stack>
  );
}

/** What a bar is of, from what its contour was taken, what its frame takes and how much of it is spent. */
function saidOfBar(bar: BarState, { bar: data, total }: FrameLimits): string {
  return [
    ...(data
      ? [
          t('shaping.section', {
            material: named('barMaterial', data.material),
            thickness: data.thickness,
            width: data.width,
          }),
        ]
      : []),
    ...(bar.contour
      ? [
          t('shaping.fromStations', {
            count: bar.contour.points.length,
            source: named('contourSource', bar.contour.source),
          }),
        ]
      : []),
    ...(bar.byHand ? [] : [t('shaping.budget', { total, spent: Math.round(bar.spent * 10) / 10 })]),
  ].join(' · ');
}

/** A varus or valgus set: the same angle above and below the hinge, the other bar the other way. */
function CoronalSet({ bar, frame, stage }: { bar: BarState; frame: FrameLimits; stage: WorkStage }) {
  const { state, unit, write } = useWork();
  const mayShape = useMay(stage)('shaping.write');
  const [angle, setAngle] = useDraft(`${state.case}-set-${bar.part.id}`);
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  if (!mayShape) return null;
  const others = state.shaping.bars.filter(
    ({ part, plan }) => part.id !== bar.part.id && plan?.purpose === 'set',
  );
  const away = others.some(({ plan }) => plan!.work.some(({ turn }) => turn > 0)) ? -1 : 1;
  const take = () => {
    const read = readQuantity(angle, 'degrees', unit);
    if ('problem' in read) return setProblem(read.problem);
    const most = Math.min(frame.total / 2, bar.left / 2);
    if (read.value === 0 || Math.abs(read.value) > most) return setProblem(t('shaping.setBetween', { most }));
    const place = Math.round(frame.hingeZone + jawOf(frame));
    const bends = coronalSet(bar.part.id, read.value, { above: place, below: place });
    const body = decideBends(
      state,
      bar.part.id,
      'set',
      bends.map(({ place: at }) => ({ at, turn: read.value })),
    );
    if (body) void save(() => write('shape.planned', 'shape', body).then(() => setAngle('')));
  };
  return (
    <Fold title={t('shaping.setTitle')}>
      <Stack $gap={8}>
        <Soft>
          {t('shaping.setHow', { way: named('direction', away > 0 ? 'away-from-limb' : 'towards-limb') })}
        </Soft>
        <Row $align="flex-end">
          <ReadingField
            small
            label={t('shaping.setAngle')}
            kind="degrees"
            unit={unit}
            sign="°"
            value={angle}
            minusSaid={(amount) => `${amount} ${named('direction', 'towards-limb')}`}
            onChange={(text) => {
              setAngle(text);
              setProblem(undefined);
            }}
            onEnter={take}
            problem={problem}
          />
          <Button onPress={take} isDisabled={saving}>
            {t('shaping.takeSet')}
          </Button>
        </Row>
      </Stack>
    </Fold>
  );
}
