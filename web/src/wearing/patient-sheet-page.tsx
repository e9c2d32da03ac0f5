import { languages, type Language } from '@estribo/core/access';
import { buildOf, signedAngle } from '@estribo/core/anatomy';
import { findingsOf, type CaseFinding } from '@estribo/core/findings';
import { callReasonsOf, patientSheet, type EmergencyWords, type PatientSheet } from '@estribo/core/handout';
import { limitedMotion } from '@estribo/core/programmes';
import type { CaseState } from '@estribo/core/logbook';
import { bodyReadings } from '@estribo/core/measuring';
import { mayBeHandedOver } from '@estribo/core/setting';
import { partsOfStep, type RunnerStep } from '@estribo/core/strapping';
import { wearDaysFrom } from '@estribo/core/wearing';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled, { css } from 'styled-components';
import { useClinic, useToday, useUser } from '../api/clinic';
import { useDraft } from '../api/draft';
import { statureIn } from '../case/stature';
import { useCase } from '../case/use-case';
import { BodyFigure } from '../figure/body-figure';
import { asWorn } from '../figure/layer';
import { color, narrow } from '../look/tokens';
import { named, programmeTitle, speak, t } from '../messages';
import { careLine, settingWords, stepWords, wearLine } from '../messages/fitting';
import { bodyPartSide } from '../parts/body-part-side';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Field } from '../parts/field';
import {
  formatAngle,
  formatDate,
  formatDay,
  formatMinutes,
  formatShortWeekday,
  formatWindow,
} from '../parts/format';
import { formatPosture } from '../parts/format-posture';
import { formatFinding, formatFindingTitle } from '../findings/format-finding';
import { useUnit } from '../browser/preferences';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { CalendarFile } from '../setting/calendar-file';
import { saidHandedOver } from '../setting/hand-over';
import { strapNumbers } from '../strapping/strap-numbers';
import { useTypeThatFills } from './fit-type';
import { careOf } from './wear-stage';

/** Days of a growing plan that are printed: two weeks. */
const printedDays = 14;

/** As it is printed, and as its copy is measured for that. */
const asPrinted = css`
  font-size: var(--print-type, 15px);
  padding: 0;
  max-width: none;
`;

const Sheet = styled(Paper)`
  font-size: 17px;
  line-height: 1.32;
  & h1 {
    font-size: 1.53em;
  }
  & h2 {
    font-size: 1.12em;
    margin: 0 0 2px;
  }
  &[data-printed] {
    ${asPrinted}
  }
  @media print {
    ${asPrinted}
    @page {
      size: A4 portrait;
      margin: 11mm 13mm;
    }
  }
`;

const Pictured = styled.div`
  display: grid;
  grid-template-columns: 17.06em minmax(0, 1fr);
  gap: 8px 20px;
  & figure {
    height: 17.6em;
    margin: 0;
    min-width: 0;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Steps = styled.ol`
  display: grid;
  gap: 1px;
  & li {
    break-inside: avoid;
  }
`;

const Days = styled.ol`
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 4px;
  ${narrow} {
    grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  }
  & li {
    border: 1px solid ${color('line')};
    border-radius: 4px;
    padding: 2px 6px;
  }
`;

const Numbers = styled.p`
  border: 2px solid ${color('ink')};
  border-radius: 4px;
  padding: 6px 10px;
`;

/** What the patient takes home, on one page in large type: the straps, how long, what may be changed alone, trouble, care. */
export default function PatientSheetPage() {
  const { caseId = '' } = useParams();
  const { open, missing, away } = useCase(caseId);
  const user = useUser();
  const [language, setLanguage] = useState<Language>(user.language ?? 'en');
  const sheet = useRef<HTMLElement>(null);
  useTypeThatFills(sheet);
  // the sheet speaks the patient's language; the rest of the program that of who is signed in
  useEffect(() => () => void speak(user.language ?? 'en'), [user.language]);
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  return (
    <Sheet ref={sheet}>
      <Row data-screen style={{ justifyContent: 'space-between' }} $align="flex-end">
        <Link to={`/cases/${caseId}/wear`}>{named('stages', 'wear')}</Link>
        <Choice
          label={t('patientSheet.language')}
          options={languages.map((value) => ({ value, label: t(`patientSheet.speaks.${value}`) }))}
          value={language}
          onChange={(next) => void speak(next as Language).then(() => setLanguage(next as Language))}
        />
        <CalendarFile state={open.state} />
        <Button look="main" onPress={() => print()}>
          {t('sheet.print')}
        </Button>
      </Row>
      <Printed
        key={language}
        state={open.state}
        name={open.person ? `${open.person.givenName} ${open.person.familyName}` : ''}
        born={open.person?.born}
      />
    </Sheet>
  );
}

function Printed({ state, name, born }: { state: CaseState; name: string; born: string | undefined }) {
  const today = useToday();
  const clinic = useClinic();
  const order = state.order?.order;
  const [own, setOwn] = useDraft(`${state.case}-sheet-own`);
  const findings = useMemo(() => findingsOf(state, today, born), [state, today, born]);
  const sheet = patientSheet(state, findings, today, born);
  const next = state.visits.find(({ day, kept }) => !kept && day > today);
  const handed = state.setting.made.flatMap(({ setting, patient }) =>
    patient && mayBeHandedOver(setting)
      ? [{ name: settingWords(state.programme, setting.id).name, said: saidHandedOver(setting, patient) }]
      : [],
  );
  const { years, stature } = statureIn(state, born, today);
  const numbers = strapNumbers(state.parts, sheet.on.by === 'staff' ? [] : sheet.on.list.steps);
  return (
    <Stack $gap={8}>
      <Stack $gap={0}>
        <h1>{t('patientSheet.title')}</h1>
        <Soft>
          {[
            name,
            bodyPartSide('bodyPart', state.side, state.programme.region),
            programmeTitle(state.programme),
            state.model.name,
            formatDate(today),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Soft>
      </Stack>
      <NotAsIfWell state={state} sheet={sheet} findings={findings} today={today} />
      <Pictured>
        <figure>
          <BodyFigure
            region={state.programme.region}
            side={state.side}
            readings={bodyReadings(state.measuring.states, state.side)}
            build={buildOf(stature, years)}
            overlays={{}}
            layer={{
              parts: asWorn(state.parts).map(({ part }) => ({
                part,
                state: 'now',
                numbered: true,
                ...(numbers[part.id] === undefined ? {} : { number: numbers[part.id]! }),
              })),
              marks: [],
            }}
            description={t('patientSheet.picture', {
              part: bodyPartSide('bodyPart', state.side, state.programme.region),
            })}
          />
        </figure>
        <Stack $gap={8}>
          <section>
            <h2>{t('patientSheet.on')}</h2>
            {sheet.on.by === 'staff' ? (
              <p>
                <b>{t('patientSheet.onByStaff')}</b>
              </p>
            ) : (
              <>
                {sheet.on.by === 'carer' && <p>{t('patientSheet.withCarer')}</p>}
                <HomeList state={state} steps={sheet.on.steps} numbers={numbers} />
              </>
            )}
          </section>
          <section>
            <h2>{t('patientSheet.off')}</h2>
            <p>
              <b>{t(`patientSheet.takesOff.${sheet.takesOff}`)}</b>{' '}
              {sheet.off && sheet.off.by !== 'staff' && sheet.takesOff !== 'staff'
                ? `${sheet.off.list.steps.map((step) => stepWords(state.programme, step.id).name).join('. ')}.`
                : ''}
            </p>
          </section>
        </Stack>
      </Pictured>
      <Ordered state={state} sheet={sheet} />
      <HowLong state={state} sheet={sheet} today={today} />
      {handed.length > 0 && (
        <section>
          <h2>{t('patientSheet.alone')}</h2>
          {handed.map((one) => (
            <p key={one.name}>
              <b>{one.name}.</b> {one.said}
            </p>
          ))}
          <p>{t('patientSheet.nothingElse')}</p>
        </section>
      )}
      <section>
        <h2>{t('patientSheet.trouble')}</h2>
        <ul>
          {emergencyLines[sheet.emergency].map((line) => (
            <li key={line}>{named('patientEmergency', line)}</li>
          ))}
          {sheet.resuscitation && <li>{t(`patientSheet.resuscitation.${sheet.resuscitation}`)}</li>}
        </ul>
        {order && (
          <p>
            <b>{t('patientSheet.anyTrouble')}</b> {named('trouble', order.trouble)}
          </p>
        )}
      </section>
      <Numbers>
        <b>{clinic.name}</b>
        {clinic.letterhead && <> · {clinic.letterhead}</>}
        {': '}
        {clinic.phone ?? t('patientSheet.line')} · <b>{t('patientSheet.emergency')}</b>{' '}
        {clinic.emergency ?? t('patientSheet.line')}
      </Numbers>
      <section>
        <h2>{t('patientSheet.daily')}</h2>
        <p>
          {t(`patientSheet.skin.${sheet.takesOff}`)} {t('patientSheet.sleep')}{' '}
          {t(sheet.takesOff === 'patient' ? 'patientSheet.wash' : 'patientSheet.washProtective')}{' '}
          {sheet.driving && t(`patientSheet.driving.${sheet.driving}`)}
        </p>
        <p>
          {careOf(state)
            .map((line) => careLine(state.programme, line))
            .join(' ')}
        </p>
      </section>
      <div data-screen>
        <Field label={t('patientSheet.own')} value={own} onChange={setOwn} maxLength={300} />
      </div>
      {own.trim() && <p>{own.trim()}</p>}
      <p>
        <b>{t('patientSheet.next')}</b> {next ? formatDate(next.day) : t('patientSheet.line')}
      </p>
      <Soft>{t('patientSheet.note')}</Soft>
    </Stack>
  );
}

/** The lines of what to do in an emergency, the most urgent first. */
export const emergencyLines: Record<EmergencyWords, readonly string[]> = {
  'limb-protective': ['cold-hold', 'numb-hold', 'clot'],
  'limb-comfort': ['cold-off', 'numb-off', 'clot'],
  'arm-protective': ['hand-cold-hold', 'numb-hold', 'outer-shoulder'],
  'arm-comfort': ['hand-cold-off', 'numb-off', 'outer-shoulder'],
  'trunk-protective': ['legs-lie-still', 'breath-open-front', 'vomit-roll'],
  'trunk-comfort': ['legs-off', 'breath-off'],
  'neck-protective': ['neck-numb-lie-still', 'breath-open-front', 'swallow', 'vomit-roll'],
  'neck-comfort': ['neck-numb-off', 'breath-off', 'swallow'],
};

/** What keeps the sheet from being handed over as if all were well, and what was missing when it was signed for. */
function NotAsIfWell({
  state,
  sheet,
  findings,
  today,
}: {
  state: CaseState;
  sheet: PatientSheet;
  findings: readonly CaseFinding[];
  today: string;
}) {
  const [unit] = useUnit();
  const isSigned = !findings.some(({ kind }) => kind.startsWith('signed-') || kind === 'not-signed');
  return (
    <>
      {sheet.urgent.length > 0 && (
        <Notice tone="stop">
          <b>{t('patientSheet.callFirst')}</b>{' '}
          {callReasonsOf(sheet.urgent)
            .map((reason) => t(`patientSheet.call.${reason}`))
            .join(' ')}
          {/* what it is in the clinic's terms is for the screen alone */}
          <Soft data-screen>
            {sheet.urgent.map((one) => formatFinding(state, one, today, unit).title).join('; ')}
          </Soft>
        </Notice>
      )}
      {sheet.urgent.length === 0 && !isSigned && (
        <Notice tone="caution">{t('patientSheet.notChecked')}</Notice>
      )}
      {sheet.inSpite && (
        <p>
          {t('patientSheet.inSpite', {
            what: sheet.inSpite.of.map((one) => formatFindingTitle(state.programme, one)).join('; '),
            reason: sheet.inSpite.reason,
          })}
        </p>
      )}
    </>
  );
}

/** How far the joint moves, when it is locked, what it bears, with the dates; only the clinic changes it. */
function Ordered({ state, sheet }: { state: CaseState; sheet: PatientSheet }) {
  const motion = limitedMotion(state.programme);
  const isSaid = sheet.phases.some(
    ({ window, locks, weight, wedges }) =>
      Object.keys(window).length > 0 || locks.length > 0 || weight !== undefined || (wedges ?? 0) > 0,
  );
  if (!isSaid) return null;
  return (
    <section>
      <h2>{t('patientSheet.motion')}</h2>
      <ul>
        {sheet.phases.map(({ from, window, locks, weight, wedges }) => (
          <li key={from}>
            <b>{t('patientSheet.from', { day: formatDay(from) })}</b>{' '}
            {[
              Object.keys(window).length > 0 ? formatWindow(window, motion) : '',
              ...locks.map(({ joint, at, when }) =>
                t('patientSheet.locked', {
                  angle: formatAngle(
                    { joint, plane: 'sagittal' },
                    signedAngle({ joint, plane: 'sagittal' }, at),
                  ),
                  when: named('lockWhen', when),
                }),
              ),
              weight ? named('patientWeight', weight) : '',
              wedges ? t('patientSheet.wedges', { count: wedges }) : '',
            ]
              .filter(Boolean)
              .join('. ')}
            .
          </li>
        ))}
      </ul>
      <p>{t('patientSheet.onlyUs')}</p>
    </section>
  );
}

function HomeList({
  state,
  steps,
  numbers,
}: {
  state: CaseState;
  steps: readonly RunnerStep[];
  numbers: Readonly<Record<string, string>>;
}) {
  const marked = (id: string) => state.parts.find((part) => part.id === id)?.mark ?? numbers[id];
  return (
    <Steps>
      {steps.map((step, i) => {
        const parts = step.kind === 'strap' ? partsOfStep({ ...step, holds: undefined }) : [];
        const numbered = parts.flatMap((id) => marked(id) ?? []);
        const { name, hold } = stepWords(state.programme, step.id);
        const posture = formatPosture(step.posture);
        // said where it is another than at the step before
        const isNew = i === 0 || formatPosture(steps[i - 1]!.posture) !== posture;
        return (
          <li key={`${step.id} ${step.pass}`}>
            {i + 1}. <b>{name}</b>
            {numbered.length > 0 && step.over && ` (${numbered.join(', ')})`}
            {numbered.length === 1 && !step.over && numbers[parts[0]!] && ` (${numbered[0]})`}
            {posture && isNew ? `. ${posture}` : ''}
            {hold ? `. ${hold}` : ''}
          </li>
        );
      })}
    </Steps>
  );
}

function HowLong({ state, sheet, today }: { state: CaseState; sheet: PatientSheet; today: string }) {
  const { plan, held, stopped } = state.wearing;
  const growing = plan?.plan.kind === 'growing' ? plan.plan : undefined;
  return (
    <section>
      <h2>{t('patientSheet.howLong')}</h2>
      {sheet.ordered && (
        <p>
          <b>{t('patientSheet.ordered')}</b> {sheet.ordered}
        </p>
      )}
      {sheet.lines.length > 0 && (
        <p>{sheet.lines.map((line) => wearLine(state.programme, line)).join(' ')}</p>
      )}
      {stopped || held ? (
        <Notice tone="stop">{t(stopped ? 'wearing.stopped' : 'wearing.held')}</Notice>
      ) : growing ? (
        <>
          <Days>
            {wearDaysFrom(growing, today, printedDays).map(({ day, minutes }) => (
              <li key={day}>
                {formatShortWeekday(day)} {formatDay(day)}
                <br />
                <b>{formatMinutes(minutes)}</b>
              </li>
            ))}
          </Days>
          {growing.breakAfter !== undefined && growing.breakFor !== undefined && (
            <p>
              {t('wearing.breaks', {
                after: formatMinutes(growing.breakAfter),
                for: formatMinutes(growing.breakFor),
              })}
            </p>
          )}
        </>
      ) : (
        !sheet.ordered && <Notice tone="caution">{t('patientSheet.noPlan')}</Notice>
      )}
    </section>
  );
}
