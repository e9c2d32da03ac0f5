import { may } from '@estribo/core/access';
import { withholding } from '@estribo/core/findings';
import { boundsOf, intentInForce, type CaseState } from '@estribo/core/logbook';
import { addDays } from '@estribo/core/calendar';
import { planProblems, wearDaysFrom, wearKindFor, type GrowingPlan } from '@estribo/core/wearing';
import { lazy, Suspense, useCallback, useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { NextVisit } from './next-visit';
import { LetterSent } from './letter-sent';
import { TeachBack } from './teach-back';
import { ToldDays } from './told-days';
import { WornAgainstPlan } from './worn-against-plan';
import { WornHours } from './worn-hours';
import { RoleReads } from '../case/role-reads';
import { useDraft } from '../api/draft';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn } from '../figure/layer';
import { mayBeHandedOver, readTurn } from '@estribo/core/setting';
import { HandOver, saidHandedOver } from '../setting/hand-over';
import { OtherLists } from '../strapping/other-lists';
import type { Token } from '../look/tokens';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { careLine, settingWords, wearLine } from '../messages/fitting';
import { boundsProblem } from '../parts/bounds';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Loading } from '../parts/loading';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { NeedsOrder } from '../screening/needs-order';
import { formatClock, formatDay, formatMinutes, formatShortWeekday } from '../parts/format';
import { ReadingField, readQuantity } from '../parts/reading-field';
import { useSaving } from '../parts/use-saving';
import { useSteady } from '../parts/use-steady';
import { hoursAxis } from './hours-axis';

const Chart = lazy(() => import('../parts/chart'));

const Days = styled.ol`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(108px, 1fr));
  gap: 4px 12px;
`;

/** How it is cared for, as its family says it; pads, liners and hinges where it says nothing. */
export const careOf = ({ programme: { care }, model }: CaseState): readonly string[] =>
  care ?? ['pads-by-hand', ...(model.hinge ? ['hinges-dry-spray'] : [])];

export default function WearStage() {
  const { state, findings, user } = useWork();
  const mayNow = useMay('wear');
  const [changing, setChanging] = useDraft(`${state.case}-plan-changing`, false);
  useFigureLayer({ marks: [], parts: asWorn(state.parts) });
  const order = state.order?.order;
  const { plan } = state.wearing;
  const mayWrite = mayNow('wearing.write');
  // what is found at the head of the stage holds the plan back
  const mayPlan = mayWrite && withholding(findings, 'plan').length === 0;
  if (!order) return <NeedsOrder question={t('wearing.question')} />;
  const kind = wearKindFor(order);
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('wearing.question')}</h1>
        <Soft>{t(kind === 'as-ordered' ? 'wearing.protectiveHow' : 'wearing.growingHow')}</Soft>
      </Stack>
      {state.wearing.family.lines.length > 0 && (
        <Soft>
          {state.wearing.family.rule && <b>{t(`wearing.rules.${state.wearing.family.rule}`)}: </b>}
          {state.wearing.family.lines.map((line) => wearLine(state.programme, line)).join(' ')}{' '}
          {state.wearing.family.nights && t(`wearing.nights.${state.wearing.family.nights}`)}
        </Soft>
      )}
      <ByThePatient />
      {state.wearing.stopped && <Notice tone="stop">{t('wearing.stopped')}</Notice>}
      {state.wearing.held && <Notice tone="stop">{t('wearing.held')}</Notice>}
      {plan && !changing ? (
        <>
          {plan.plan.kind === 'growing' ? (
            !state.wearing.held && <GrowingDays plan={plan.plan} />
          ) : (
            <Notice tone="good">
              <b>{t('wearing.asOrdered')}:</b> {plan.plan.wearing} ·{' '}
              {t('wearing.since', { day: formatDay(plan.plan.from) })}
            </Notice>
          )}
          {mayPlan && (
            <Row>
              <Button onPress={() => setChanging(true)}>{t('wearing.change')}</Button>
            </Row>
          )}
        </>
      ) : mayPlan ? (
        kind === 'as-ordered' ? (
          <AsOrdered onDone={() => setChanging(false)} />
        ) : (
          <Growing onDone={() => setChanging(false)} />
        )
      ) : mayWrite ? (
        <Soft>{t('wearing.planWithheld', { wearing: order.wearing })}</Soft>
      ) : (
        <RoleReads permission="wearing.write" />
      )}
      <Rule />
      <Notice tone={order.trouble !== 'take-off' ? 'stop' : 'caution'}>
        <b>{t('wearing.ifTrouble')}</b> {named('trouble', order.trouble)}
      </Notice>
      <Soft>
        {careOf(state)
          .map((line) => careLine(state.programme, line))
          .join(' ')}
      </Soft>
      <Row $gap={14}>
        <Link to={`/cases/${state.case}/patient-sheet`}>{t('patientSheet.open')}</Link>
        <Link to={`/cases/${state.case}/letter`}>{t('wearing.letterOpen')}</Link>
      </Row>
      <LetterSent />
      <OtherLists />
      {plan && may(user.role, 'visits.write') && <NextVisit stage="wear" />}
      <TeachBack mayWrite={mayWrite} isWithheld={withholding(findings, 'teach-back').length > 0} />
      <Rule />
      <ToldDays />
      <WornHours />
      <WornAgainstPlan />
    </>
  );
}

/** What the patient changes alone: a correction is handed over where it is turned, air where its wearing is taught. */
function ByThePatient() {
  const { state } = useWork();
  const mayNow = useMay('wear');
  return state.setting.made.map(({ setting, patient, made }) => {
    if (!mayBeHandedOver(setting)) return null;
    const { name } = settingWords(state.programme, setting.id);
    if (setting.kind === 'fill' && made && mayNow('setting.write'))
      return (
        <Stack key={setting.id} $gap={6}>
          <h2>{t('setting.byPatientAlone', { what: name })}</h2>
          <HandOver
            setting={setting}
            stage="wear"
            most={readTurn(String(Math.max(0, ...Object.values(made.values ?? {}).map((one) => one ?? 0))))}
            handed={patient}
          />
        </Stack>
      );
    return (
      patient && (
        <Notice key={setting.id} tone="plain">
          <b>{name}.</b> {saidHandedOver(setting, patient)}
        </Notice>
      )
    );
  });
}

function AsOrdered({ onDone }: { onDone: () => void }) {
  const { state, today, write } = useWork();
  const [saving, save] = useSaving();
  const { wearing } = state.order!.order;
  return (
    <>
      <Notice tone="plain">
        <b>{t('wearing.asOrdered')}:</b> {wearing}
      </Notice>
      <Row>
        <Button
          look="main"
          autoFocus
          isDisabled={saving}
          onPress={() =>
            void save(() =>
              write('wear.planned', 'wear', { kind: 'as-ordered', from: today, wearing }).then(onDone),
            )
          }
        >
          {t('wearing.takeAsOrdered')}
        </Button>
      </Row>
    </>
  );
}

const fields = ['firstDay', 'grow', 'everyDays', 'ceiling'] as const;
/** What a plan may leave out. */
const breaks = ['breakAfter', 'breakFor'] as const;
type PlanField = (typeof fields)[number] | (typeof breaks)[number];

/** What is wrong with a number of a plan, in words. */
const outsidePlan = (name: PlanField, value: number): string | undefined =>
  boundsProblem(
    t(`wearing.${name}`),
    value,
    // nobody wears a brace for no minutes
    { ...boundsOf('wear.planned', name), ...(name === 'grow' ? {} : { least: 1 }) },
    (bound) => (name === 'everyDays' ? `${bound} ${t('wearing.days')}` : `${bound} min`),
  );

interface PlanDraft {
  /** the plan in force when it was begun */
  follows: string | null;
  from?: string;
  typed: Record<(typeof fields)[number], string> & Partial<Record<(typeof breaks)[number], string>>;
}

function Growing({ onDone }: { onDone: () => void }) {
  const { state, today, unit, write } = useWork();
  const { wear, invented } = state.model;
  const { firstDay, mostAtFirst } = state.wearing.family;
  const before = state.wearing.plan?.plan;
  // the maker's own numbers come before the trade's
  const start: Partial<GrowingPlan> =
    before?.kind === 'growing' ? before : { from: today, ...(wear ?? (firstDay ? { firstDay } : {})) };
  const untyped: PlanDraft = {
    follows: intentInForce(state, 'wear.planned', {}),
    ...(start.from ? { from: start.from } : {}),
    typed: Object.fromEntries(
      [...fields, ...breaks].map((name) => [name, String(start[name] ?? '')]),
    ) as PlanDraft['typed'],
  };
  const [draft, setDraft] = useDraft(`${state.case}-plan`, untyped);
  const { from, typed } = draft;
  const [problems, setProblems] = useState<Partial<Record<PlanField | 'from', string>>>({});
  const [saving, save] = useSaving();
  const read = Object.fromEntries(
    fields.map((name) => [name, readQuantity(typed[name], 'count', unit)]),
  ) as Record<(typeof fields)[number], ReturnType<typeof readQuantity>>;
  // a break may be left out
  const rest = Object.fromEntries(
    breaks.flatMap((name) => {
      const text = typed[name]?.trim() ?? '';
      return text === '' ? [] : [[name, readQuantity(text, 'count', unit)]];
    }),
  ) as Partial<Record<(typeof breaks)[number], ReturnType<typeof readQuantity>>>;
  const plan = readPlan(from, read, rest);
  const wrong: string[] = plan
    ? [
        ...planProblems(plan, state.order!.order),
        ...(state.checking.unsafe.length > 0 ? ['limb-not-safe'] : []),
      ]
    : [];
  const take = () => {
    if (!plan) {
      const found: typeof problems = from ? {} : { from: t('order.needed') };
      for (const name of fields) {
        const one = read[name];
        if ('problem' in one) found[name] = one.problem;
        else {
          const outside = outsidePlan(name, one.value);
          if (outside) found[name] = outside;
        }
      }
      for (const name of breaks) {
        const one = rest[name];
        if (one && 'problem' in one) found[name] = one.problem;
        else if (one) {
          const outside = outsidePlan(name, one.value);
          if (outside) found[name] = outside;
        }
      }
      return setProblems(found);
    }
    if (wrong.length === 0)
      void save(() =>
        write('wear.planned', 'wear', plan, { follows: draft.follows }).then(() => {
          setDraft(untyped);
          onDone();
        }),
      );
  };
  return (
    <>
      <Row $align="flex-start">
        <DayField
          label={t('wearing.from')}
          value={from}
          onChange={(day) => setDraft({ follows: draft.follows, typed, ...(day ? { from: day } : {}) })}
          problem={problems.from}
        />
        {[...fields, ...breaks].map((name) => (
          <ReadingField
            key={name}
            small
            label={t(`wearing.${name}`)}
            kind="count"
            unit={unit}
            sign={name === 'everyDays' ? t('wearing.days') : 'min'}
            value={typed[name] ?? ''}
            onChange={(text) => setDraft({ ...draft, typed: { ...typed, [name]: text } })}
            onEnter={take}
            problem={problems[name]}
          />
        ))}
      </Row>
      {wear ? (
        invented && <Soft>{t('wearing.modelsOwn')}</Soft>
      ) : (
        <Notice tone="caution">
          {[t('wearing.noNumbers'), firstDay ? t('wearing.familysOwn') : ''].filter(Boolean).join(' ')}
        </Notice>
      )}
      {plan && mostAtFirst !== undefined && plan.firstDay > mostAtFirst && (
        <Notice tone="caution">{t('wearing.overFirstDay', { most: formatMinutes(mostAtFirst) })}</Notice>
      )}
      {wrong.map((problem) => (
        <Notice key={problem} tone="stop">
          {named('wearProblem', problem)}
        </Notice>
      ))}
      {plan && wrong.length === 0 && <GrowingDays plan={plan} />}
      <Row>
        <Button look="main" onPress={take} isDisabled={saving || wrong.length > 0}>
          {t('wearing.take')}
        </Button>
      </Row>
    </>
  );
}

function readPlan(
  from: string | undefined,
  read: Record<(typeof fields)[number], ReturnType<typeof readQuantity>>,
  rest: Partial<Record<(typeof breaks)[number], ReturnType<typeof readQuantity>>>,
): GrowingPlan | undefined {
  const { firstDay, grow, everyDays, ceiling } = read;
  if (!from || 'problem' in firstDay || 'problem' in grow || 'problem' in everyDays || 'problem' in ceiling)
    return undefined;
  if (fields.some((name) => outsidePlan(name, (read[name] as { value: number }).value))) return undefined;
  const broken: Partial<Record<(typeof breaks)[number], number>> = {};
  for (const name of breaks) {
    const one = rest[name];
    if (one === undefined) continue;
    if ('problem' in one || outsidePlan(name, one.value)) return undefined;
    broken[name] = one.value;
  }
  return {
    ...broken,
    kind: 'growing',
    from,
    firstDay: firstDay.value,
    grow: grow.value,
    everyDays: everyDays.value,
    ceiling: ceiling.value,
  };
}

/** The days ahead as bars, and in words for those who do not see them. */
function GrowingDays({ plan }: { plan: GrowingPlan }) {
  const { today } = useWork();
  // what is ahead, with the last days before it
  const days = wearDaysFrom(plan, addDays(today, -2), 14);
  const steady = useSteady(plan);
  const option = useCallback(
    (palette: Record<Token, string>) => {
      const shown = wearDaysFrom(steady, addDays(today, -2), 14);
      return {
        grid: { left: 44, right: 8, top: 24, bottom: 40 },
        xAxis: {
          type: 'category' as const,
          data: shown.map(({ day }) => `${formatShortWeekday(day)}\n${Number(day.slice(8))}`),
          axisLine: { lineStyle: { color: palette.edge } },
          axisLabel: { color: palette.soft, interval: 0, lineHeight: 16 },
        },
        yAxis: hoursAxis(Math.max(...shown.map(({ minutes }) => minutes)), palette),
        series: [
          {
            type: 'bar' as const,
            data: shown.map(({ day, minutes }) => ({
              value: minutes,
              itemStyle: {
                color: day < today ? palette.thread : day === today ? palette.river : palette.saddle,
              },
            })),
            label: {
              show: true,
              position: 'top' as const,
              color: palette.ink,
              // lettered where it changes: side by side the same hours would lie over each other
              formatter: ({ dataIndex, value }: { dataIndex: number; value?: unknown }) =>
                shown[dataIndex - 1]?.minutes === value ? '' : formatClock(Number(value)),
            },
          },
        ],
      };
    },
    [steady, today],
  );
  return (
    <Stack $gap={8}>
      <Suspense fallback={<Loading away={false} />}>
        <Chart option={option} height={210} label={t('wearing.chart')} />
      </Suspense>
      <Days aria-label={t('wearing.daysListed')}>
        {days.map(({ day, minutes }) => (
          <li
            key={day}
            style={{
              fontWeight: day === today ? 700 : 400,
              color: day < today ? color('soft') : color('ink'),
            }}
          >
            {formatDay(day)}: {formatMinutes(minutes)}
          </li>
        ))}
      </Days>
      {plan.breakAfter !== undefined && plan.breakFor !== undefined && (
        <Soft>
          {t('wearing.breaks', {
            after: formatMinutes(plan.breakAfter),
            for: formatMinutes(plan.breakFor),
          })}
        </Soft>
      )}
      <Soft>
        {t(days.at(-1)!.minutes < plan.ceiling && plan.grow > 0 ? 'wearing.growsOn' : 'wearing.after', {
          day: formatDay(days.at(-1)!.day),
          ceiling: formatMinutes(plan.ceiling),
          minutes: formatMinutes(days.at(-1)!.minutes),
        })}
      </Soft>
    </Stack>
  );
}
