import { languages, type Language } from '@estribo/core/access';
import { buildOf } from '@estribo/core/anatomy';
import type { CaseState } from '@estribo/core/logbook';
import { bodyReadings } from '@estribo/core/measuring';
import { mayBeHandedOver } from '@estribo/core/setting';
import { partsOfStep, type Sequence } from '@estribo/core/strapping';
import { wearDaysFrom } from '@estribo/core/wearing';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
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
import { formatDate, formatDay, formatMinutes, formatShortWeekday } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { CalendarFile } from '../setting/calendar-file';
import { saidHandedOver } from '../setting/hand-over';
import { strapNumbers } from '../strapping/strap-numbers';
import { careOf } from './wear-stage';

/** Days of a growing plan that are printed: two weeks. */
const printedDays = 14;

const Sheet = styled(Paper)`
  font-size: 17px;
  line-height: 1.32;
  & h1 {
    font-size: 26px;
  }
  & h2 {
    font-size: 19px;
    margin: 0 0 2px;
  }
  @media print {
    & {
      font-size: 15px;
    }
    @page {
      size: A4 portrait;
      margin: 11mm 13mm;
    }
  }
`;

const Pictured = styled.div`
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 8px 20px;
  & figure {
    height: 300px;
    margin: 0;
    min-width: 0;
  }
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    & figure {
      height: 262px;
    }
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
  // the sheet speaks the patient's language; the rest of the program that of who is signed in
  useEffect(() => () => void speak(user.language ?? 'en'), [user.language]);
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  return (
    <Sheet>
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
  const next = state.visits.find(({ day, kept }) => !kept && day > today);
  const handed = state.setting.made.flatMap(({ setting, patient }) =>
    patient && mayBeHandedOver(setting)
      ? [{ name: settingWords(state.programme, setting.id).name, said: saidHandedOver(setting, patient) }]
      : [],
  );
  const list = listAtHome(state);
  const off = state.strapping.others.find(({ purpose }) => purpose === 'off');
  const { years, stature } = statureIn(state, born, today);
  const numbers = strapNumbers(state.parts, list?.steps ?? []);
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
          {list && (
            <section>
              <h2>{t('patientSheet.on')}</h2>
              <HomeList state={state} list={list} numbers={numbers} />
            </section>
          )}
          {off && (
            <section>
              <h2>{t('patientSheet.off')}</h2>
              <p>{off.steps.map((step) => stepWords(state.programme, step.id).name).join('. ')}.</p>
            </section>
          )}
        </Stack>
      </Pictured>
      <HowLong state={state} today={today} />
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
      {order && (
        <section>
          <h2>{t('patientSheet.trouble')}</h2>
          <p>
            <b>{t('patientSheet.anyTrouble')}</b> {named('trouble', order.trouble)}
          </p>
          <p>
            <b>{t('patientSheet.coldBlueNumb')}</b> {t('patientSheet.loosenHold')}
          </p>
        </section>
      )}
      <Numbers>
        <b>{clinic.name}</b>
        {clinic.letterhead && <> · {clinic.letterhead}</>}
        {': '}
        {clinic.phone ?? t('patientSheet.line')} · <b>{t('patientSheet.emergency')}</b>{' '}
        {clinic.emergency ?? t('patientSheet.line')}
      </Numbers>
      <section>
        <h2>{t('patientSheet.care')}</h2>
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

/** The list by which it goes on at home: the one that is for that, else the one by which it was put on. */
const listAtHome = ({ strapping: { others, list, lists } }: CaseState): Sequence | undefined =>
  others.find(({ purpose }) => purpose === 'again') ??
  lists.find(({ people }) => people.length === 1 && people[0] === 'patient') ??
  list ??
  lists[0];

function HomeList({
  state,
  list,
  numbers,
}: {
  state: CaseState;
  list: Sequence;
  numbers: Readonly<Record<string, string>>;
}) {
  const marked = (id: string) => state.parts.find((part) => part.id === id)?.mark ?? numbers[id];
  return (
    <Steps>
      {list.steps
        // what is set, cut or checked in the middle is the orthotist's
        .filter(({ kind }) => kind === 'act' || kind === 'strap' || kind === 'look')
        .map((step, i) => {
          const parts = step.kind === 'strap' ? partsOfStep({ ...step, holds: undefined }) : [];
          const numbered = parts.flatMap((id) => marked(id) ?? []);
          return (
            <li key={step.id}>
              {i + 1}. {stepWords(state.programme, step.id).name}
              {numbered.length > 0 && step.over && ` (${numbered.join(', ')})`}
              {numbered.length === 1 && !step.over && numbers[parts[0]!] && ` (${numbered[0]})`}
            </li>
          );
        })}
    </Steps>
  );
}

function HowLong({ state, today }: { state: CaseState; today: string }) {
  const { plan, family, held, stopped } = state.wearing;
  const growing = plan?.plan.kind === 'growing' ? plan.plan : undefined;
  return (
    <section>
      <h2>{t('patientSheet.howLong')}</h2>
      {family.lines.length > 0 && (
        <p>
          {[
            ...family.lines.map((line) => wearLine(state.programme, line)),
            family.nights ? t(`wearing.nights.${family.nights}`) : '',
          ]
            .filter(Boolean)
            .join(' ')}
        </p>
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
          <p>
            {growing.breakAfter !== undefined &&
              growing.breakFor !== undefined &&
              t('wearing.breaks', {
                after: formatMinutes(growing.breakAfter),
                for: formatMinutes(growing.breakFor),
              })}{' '}
            {t('patientSheet.skin')}
          </p>
        </>
      ) : plan?.plan.kind === 'as-ordered' ? (
        <p>
          <b>{plan.plan.wearing}</b> {t('wearing.since', { day: formatDay(plan.plan.from) })}
        </p>
      ) : (
        <Notice tone="caution">{t('patientSheet.noPlan')}</Notice>
      )}
    </section>
  );
}
