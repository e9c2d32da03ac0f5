import type { CaseState } from '@estribo/core/logbook';
import { mayBeHandedOver } from '@estribo/core/setting';
import { wearDays } from '@estribo/core/wearing';
import { Link, useParams } from 'react-router';
import { useToday } from '../api/clinic';
import { useCase } from '../case/use-case';
import { named, programmeTitle, t } from '../messages';
import { careLine, settingWords, wearLine } from '../messages/fitting';
import { bodyPartSide } from '../parts/body-part-side';
import { Button } from '../parts/button';
import { formatDate, formatDay, formatMinutes, formatWeekday } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { saidHandedOver } from '../setting/hand-over';
import { careOf } from './wear-stage';

/** Days of a growing plan that are printed: until the next look, at most two weeks. */
const printedDays = 14;

/** What the patient takes home: how long it is worn, what may be changed alone, what to do in trouble, how it is cared for. */
export default function PatientSheetPage() {
  const { caseId = '' } = useParams();
  const { open, missing, away } = useCase(caseId);
  const today = useToday();
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  const { state, person } = open;
  const order = state.order?.order;
  const next = state.visits.find(({ day, kept }) => !kept && day > today);
  const handed = state.setting.made.flatMap(({ setting, patient }) =>
    patient && mayBeHandedOver(setting)
      ? [{ name: settingWords(state.programme, setting.id).name, said: saidHandedOver(setting, patient) }]
      : [],
  );
  return (
    <Paper>
      <Stack>
        <Row data-screen style={{ justifyContent: 'space-between' }}>
          <Link to={`/cases/${caseId}/wear`}>{named('stages', 'wear')}</Link>
          <Button look="main" onPress={() => print()}>
            {t('sheet.print')}
          </Button>
        </Row>
        <Stack $gap={2}>
          <h1>{t('patientSheet.title')}</h1>
          <Soft>
            {person ? `${person.givenName} ${person.familyName} · ` : ''}
            {bodyPartSide('bodyPart', state.side, state.programme.region)} · {programmeTitle(state.programme)}{' '}
            · {state.model.name} · {formatDate(today)}
          </Soft>
        </Stack>
        <HowLong state={state} />
        {handed.length > 0 && (
          <section>
            <h2>{t('patientSheet.alone')}</h2>
            {handed.map(({ name, said }) => (
              <p key={name}>
                <b>{name}.</b> {said}
              </p>
            ))}
            <p>{t('patientSheet.nothingElse')}</p>
          </section>
        )}
        {order && (
          <section>
            <h2>{t('wearing.ifTrouble')}</h2>
            <p>
              {named('trouble', order.trouble)} {t('patientSheet.call')}
            </p>
          </section>
        )}
        <section>
          <h2>{t('patientSheet.care')}</h2>
          <ul>
            {careOf(state).map((line) => (
              <li key={line}>{careLine(state.programme, line)}</li>
            ))}
          </ul>
        </section>
        <p>
          <b>{t('patientSheet.next')}</b> {next ? formatDate(next.day) : '…………………………'}
        </p>
        <Soft>{t('patientSheet.note')}</Soft>
      </Stack>
    </Paper>
  );
}

function HowLong({ state }: { state: CaseState }) {
  const { plan, family, held, stopped } = state.wearing;
  const growing = plan?.plan.kind === 'growing' ? plan.plan : undefined;
  return (
    <section>
      <h2>{t('patientSheet.howLong')}</h2>
      {family.lines.length > 0 && (
        <p>{family.lines.map((line) => wearLine(state.programme, line)).join(' ')}</p>
      )}
      {stopped || held ? (
        <Notice tone="stop">{t(stopped ? 'wearing.stopped' : 'wearing.held')}</Notice>
      ) : growing ? (
        <table>
          <thead>
            <tr>
              <th scope="col">{t('patientSheet.day')}</th>
              <th scope="col">{t('patientSheet.worn')}</th>
            </tr>
          </thead>
          <tbody>
            {wearDays(growing, printedDays).map(({ day, minutes }) => (
              <tr key={day}>
                <th scope="row" style={{ fontWeight: 400 }}>
                  {formatWeekday(day)}, {formatDay(day)}
                </th>
                <td>
                  <b>{formatMinutes(minutes)}</b>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
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
