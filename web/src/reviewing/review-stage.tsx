import { choiceFor, groundsOn } from '@estribo/core/setting';
import { otherSide } from '@estribo/core/anatomy';
import { ageOn } from '@estribo/core/calendar';
import { formatInForce } from '../screening/print-order';
import { limitedMotion } from '@estribo/core/programmes';
import { may } from '@estribo/core/access';
import type { CaseState } from '@estribo/core/logbook';
import { isMeasured, unitOf, type MotionStep } from '@estribo/core/measuring';
import { hasEnded, windowOn } from '@estribo/core/order';
import { changesSince, orderedMotion, proposeAdjustment, sizeByGirths } from '@estribo/core/reviewing';
import { useState } from 'react';
import { Link } from 'react-router';
import styled from 'styled-components';
import { RoleReads } from '../case/role-reads';
import { useFigureLayer, useMay, useWork } from '../case/case-context';
import { asWorn } from '../figure/layer';
import { color } from '../look/tokens';
import { figureTitle, named, t } from '../messages';
import { settingWords } from '../messages/fitting';
import { Row, Rule, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { DangerToday } from '../screening/danger-today';
import { NeedsOrder } from '../screening/needs-order';
import { formatDay, formatReading } from '../parts/format';
import { formatFinding } from '../findings/format-finding';
import { Course } from './course';
import { ReliefTable } from './relief-table';
import { NextVisit } from '../wearing/next-visit';
import { TakeReview } from './take-review';
import { saidEnds } from '../measuring/step-words';
import { screenOf } from '../setting/kinds/all';
import { SettingsWork } from '../setting/settings-work';
import { ToldFillings } from '../setting/told-filling';

const Change = styled.li`
  display: flex;
  gap: 8px;
  align-items: baseline;
  & b {
    font-size: 18px;
  }
`;

/** The end of a motion as it is called at its joint. */
function endOf(state: CaseState, id: string | undefined, figure: string): string {
  const step = state.measuring.steps.find(
    (one): one is MotionStep =>
      one.kind === 'motion' &&
      (id === undefined ? one.joint === state.programme.joint && one.plane === 'sagittal' : one.id === id),
  );
  const ends = step && saidEnds(step);
  return (figure === 'extension' ? ends?.[0] : ends?.[1]) ?? figureTitle(figure);
}

export default function ReviewStage() {
  const { state, findings, today, user, unit, born } = useWork();
  const mayNow = useMay('review');
  const [open, setOpen] = useState(false);
  const order = state.order?.order;
  const limited = limitedMotion(state.programme);
  const now = order && windowOn(order, today, limited);
  const inForce = order ? formatInForce(order, today, limited) : '';
  const visit = state.reviewing.visits.find(({ day }) => day === today);
  const before = state.reviewing.visits.filter(({ day }) => day < today).at(-1) ?? state.reviewing.first;
  const mayReview = mayNow('reviewing.write');
  useFigureLayer({
    parts: asWorn(state.parts),
    marks: [],
    steps: state.reviewing.followed.readings.map((step) => ({ step, state: 'ahead' })),
  });
  const formatFigure = (figure: string, value: number) => {
    const step = state.measuring.steps.find(({ id }) => id === figure);
    if (isMeasured(step)) return formatReading(value, unitOf(step), unit);
    return figure === 'pain' ? String(value) : figure === 'hours' ? `${value} h` : `${value}°`;
  };
  if (!order || !now) return <NeedsOrder question={t('reviewing.question')} />;
  const changes = visit ? changesSince(before, visit) : [];
  const found = visit?.found;
  const motion = visit && orderedMotion(visit);
  const joint = motion && { from: motion.extension, to: motion.flexion };
  const ended = hasEnded(order, today);
  const isAsked = state.screening.dangerAsked?.day === today;
  // a danger comes first: nothing is adjusted before it has been asked for and told on
  const isDanger = findings.some(({ kind }) => kind === 'danger');
  const openInSet = findings.filter(({ stage, level }) => stage === 'set' && level !== 'note');
  const adjustment =
    found && !ended
      ? proposeAdjustment({
          order,
          day: today,
          settings: state.setting.made,
          // what the joint reached today counts, else what it reached before
          by: { ...groundsOn(state, today), ...(joint ? { joint } : {}) },
          found,
        })
      : undefined;
  const mayAdjust = isAsked && !isDanger;
  // an age is known by the day of birth
  const ages = Object.fromEntries(
    state.measuring.steps.flatMap(({ id, kind }): [string, number][] =>
      kind === 'age' && born !== undefined ? [[id, ageOn(born, today)]] : [],
    ),
  );
  const sizeNow =
    visit && sizeByGirths(state.sizing.chart, state.measuring.steps, { ...ages, ...visit.girths });
  const chosenSize = state.sizing.chosen?.decided.size;
  const otherSize =
    sizeNow && sizeNow.outcome !== 'incomplete' && sizeNow.size !== chosenSize ? sizeNow : undefined;
  return (
    <>
      <Stack $gap={4}>
        <h1>{t('reviewing.question')}</h1>
        <Soft>
          {t(inForce ? 'reviewing.how' : 'reviewing.howUnlimited', {
            day: formatDay(before.day),
            window: inForce,
          })}
        </Soft>
      </Stack>
      {may(user.role, 'screening.write') && <DangerToday />}
      {mayReview && (!found || open) ? (
        <TakeReview onDone={() => setOpen(false)} />
      ) : (
        found && (
          <Notice tone={found.skin === 'clear' || found.skin === 'fades-within-30-min' ? 'good' : 'stop'}>
            {named('skin', found.skin)} · {t('entry.pain', { pain: found.pain })}
            {found.hours !== undefined && ` · ${t('reviewing.hoursWorn', { hours: found.hours })}`}
            {found.by && ` · ${t('reviewing.byTelephone')}`} {found.note}
          </Notice>
        )
      )}
      {!mayReview && !found && <RoleReads permission="reviewing.write" />}
      {changes.length > 0 && (
        <Stack $gap={6}>
          <h2>{t('reviewing.changes', { day: formatDay(before.day) })}</h2>
          <Row as="ul" $gap={28} style={{ rowGap: 4 }}>
            {changes.map(({ figure, of, before: was, now: is, change }) => (
              <Change key={`${of?.step} ${of?.mode} ${of?.other} ${figure}`}>
                <span>
                  {of?.step ? `${named('steps', of.step)}, ` : ''}
                  {of ? `${endOf(state, of.step, figure)}, ${named('mode', of.mode)}` : figureTitle(figure)}
                  {of?.other && `, ${named('side', otherSide(state.side))}`}
                </span>
                <b>
                  {formatFigure(figure, was)} → {formatFigure(figure, is)}
                </b>
                <span style={{ color: color('soft') }}>
                  {change > 0 ? '+' : change < 0 ? '−' : '±'}
                  {formatFigure(figure, Math.abs(change))}
                </span>
              </Change>
            ))}
          </Row>
        </Stack>
      )}
      {otherSize && chosenSize && (
        <Notice tone="caution">
          {t('reviewing.otherSize', { now: otherSize.size ?? t('sizing.madeToMeasure'), chosen: chosenSize })}
        </Notice>
      )}
      <Course />
      <ReliefTable />
      <ToldFillings />
      {ended && <Notice tone="stop">{t('order.ended', { day: formatDay(order.until!) })}</Notice>}
      {adjustment && <Rule />}
      {adjustment?.kind === 'refer' && (
        <Notice tone="stop" live>
          <b>{t('reviewing.refer')}</b>{' '}
          {adjustment.because.map((why) => named('referBecause', why)).join(' ')}{' '}
          {t(adjustment.protective ? 'reviewing.referProtective' : 'reviewing.referOther')}
        </Notice>
      )}
      {found && !isAsked && <Notice tone="caution">{t('reviewing.askDanger')}</Notice>}
      {adjustment?.kind === 'none' && openInSet.length > 0 && (
        <Notice tone="caution">
          {openInSet.map((one) => formatFinding(state, one, today, unit).title).join('. ')}.{' '}
          <Link to={`/cases/${state.case}/set`}>{named('stages', 'set')}</Link>
        </Notice>
      )}
      {adjustment?.kind === 'none' &&
        state.setting.made.length > 0 &&
        openInSet.length === 0 &&
        mayAdjust && <Notice tone="good">{t('reviewing.noChange', { phase: adjustment.phase + 1 })}</Notice>}
      {adjustment?.kind === 'set' && mayAdjust && (
        <Stack $gap={10}>
          <h2>
            {t('reviewing.nextPhase', {
              phase: adjustment.phase + 1,
              window: inForce,
            })}
          </h2>
          {adjustment.settings.map((id) => (
            <ChangedSetting key={id} id={id} />
          ))}
        </Stack>
      )}
      {found && state.stages.check.status === 'open' && state.setting.fitted?.day === today && (
        <Notice tone="caution">
          {t('reviewing.checkAgain')}{' '}
          <Link to={`/cases/${state.case}/check`}>{named('stages', 'check')}</Link>
        </Notice>
      )}
      {found && may(user.role, 'visits.write') && <NextVisit stage="review" />}
    </>
  );
}

/** A setting that is another one by now: why it cannot be, or the piece it is made with. */
function ChangedSetting({ id }: { id: string }) {
  const { state, today } = useWork();
  const setting = state.programme.settings.find((one) => one.id === id);
  const choice = choiceFor(state, id, today);
  if (!setting) return null;
  if (choice && !choice.ok)
    return (
      <Notice tone="stop">
        {named('stopProblem', choice.problem)} {named('stopProblemDo', choice.problem)}
      </Notice>
    );
  const { Whole, Piece } = screenOf(setting);
  return Whole ? (
    <Piece setting={setting} made={undefined} words={settingWords(state.programme, id)} stage="review" />
  ) : (
    <SettingsWork only={id} stage="review" />
  );
}
