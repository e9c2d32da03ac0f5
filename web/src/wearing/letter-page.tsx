import { dayOf } from '@estribo/core/calendar';
import { findingsOf, type CaseFinding } from '@estribo/core/findings';
import type { CaseState } from '@estribo/core/logbook';
import type { LengthUnit } from '@estribo/core/quantity';
import { choiceOn, isChosenFirst, sameMade } from '@estribo/core/setting';
import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { useClinic, useStaff, useToday } from '../api/clinic';
import { useCase } from '../case/use-case';
import { useUnit } from '../browser/preferences';
import { formatFinding, formatFindingTitle } from '../findings/format-finding';
import { named, programmeTitle, t } from '../messages';
import { checkName, injuryName, settingWords, wearLine } from '../messages/fitting';
import { bodyPartSide } from '../parts/body-part-side';
import { Button } from '../parts/button';
import { formatDate, formatDay, formatMinutes } from '../parts/format';
import { Row, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Paper } from '../parts/paper';
import { formatNotCarriedOut } from '../screening/order-values';
import { formatMade } from '../setting/format-setting';

const Letter = styled(Paper)`
  line-height: 1.45;
  & h2 {
    margin: 0;
  }
  @media print {
    @page {
      size: A4 portrait;
      margin: 18mm 20mm;
    }
  }
`;

/** A page to the prescriber: what was fitted, how it is set, what is lost against the order, what could not be carried out. */
export default function LetterPage() {
  const { caseId = '' } = useParams();
  const { open, missing, away } = useCase(caseId);
  const clinic = useClinic();
  const today = useToday();
  if (missing) return <Notice tone="stop">{t('case.missing')}</Notice>;
  if (!open) return <Loading away={away} />;
  const { state, person } = open;
  const order = state.order?.order;
  const findings = findingsOf(state, today, person?.born);
  return (
    <Letter>
      <Stack $gap={14}>
        <Row data-screen style={{ justifyContent: 'space-between' }}>
          <Link to={`/cases/${caseId}/wear`}>{named('stages', 'wear')}</Link>
          <Button look="main" onPress={() => print()}>
            {t('sheet.print')}
          </Button>
        </Row>
        <Row style={{ justifyContent: 'space-between' }}>
          <b>{clinic.name}</b>
          {clinic.letterhead && <Soft style={{ whiteSpace: 'pre-line' }}>{clinic.letterhead}</Soft>}
          <span>{formatDate(today)}</span>
        </Row>
        {clinic.phone && <Soft>{clinic.phone}</Soft>}
        <h1>{t('letter.title')}</h1>
        {order ? (
          <>
            <p>{t('letter.to', { prescriber: order.prescriber })}</p>
            <p>
              {person &&
                t('letter.about', {
                  name: `${person.givenName} ${person.familyName}`,
                  born: formatDate(person.born),
                })}{' '}
              {[
                bodyPartSide('bodyPart', state.side, state.programme.region),
                order.diagnosis,
                ...(order.injuries ?? []).map(({ code }) => injuryName(state.programme, code)),
              ].join(', ')}
              .
            </p>
            <Urgent state={state} findings={findings} today={today} />
            <Fitted state={state} findings={findings} today={today} />
            <AgainstOrder state={state} findings={findings} today={today} />
            <Worn state={state} findings={findings} />
            <p style={{ marginTop: 24 }}>………………………………………</p>
          </>
        ) : (
          <Notice tone="caution">{t('letter.noOrder')}</Notice>
        )}
      </Stack>
    </Letter>
  );
}

interface OfLetter {
  state: CaseState;
  findings: readonly CaseFinding[];
  today: string;
}

/** What the prescriber has to know before anything else: what is dangerous, and what is fitted against the order of today. */
function Urgent({ state, findings, today }: OfLetter) {
  const [unit] = useUnit();
  const urgent = formatUrgent(state, findings, today, unit);
  if (urgent.length === 0) return null;
  return (
    <Notice tone="stop">
      {urgent.map((line) => (
        <p key={line}>{line}</p>
      ))}
    </Notice>
  );
}

/** What may not wait, a line each: first what is fitted against the order of today. */
export const formatUrgent = (
  state: CaseState,
  findings: readonly CaseFinding[],
  today: string,
  unit: LengthUnit,
): string[] =>
  findings
    .filter(({ level }) => level === 'emergency' || level === 'today')
    .map((one) => {
      const { title, detail } = formatFinding(state, one, today, unit);
      return [
        one.kind === 'exceeds-order' ? t('letter.notYetChanged') : '',
        `${title}.`,
        detail,
        one.told?.patient ? t('letter.patientTold', { day: formatDay(one.told.patient.day) }) : '',
      ]
        .filter(Boolean)
        .join(' ');
    });

/** How a signature reads today: as of an earlier order, of before a change, or as it holds. */
export function formatSignature(state: CaseState, findings: readonly CaseFinding[], who: string): string {
  const { signed } = state.checking;
  if (!signed) return t('letter.notChecked');
  const { result, inSpite } = signed.decided;
  const day = formatDate(dayOf(signed.decided.at, state.zone));
  const says = (kind: string) => findings.some((one) => one.kind === kind);
  const how =
    result === 'fail'
      ? 'checkedFailed'
      : says('signed-for-earlier-order')
        ? 'checkedEarlier'
        : says('signed-before-change') || says('signed-otherwise')
          ? 'checkedBefore'
          : inSpite
            ? 'checkedInSpite'
            : 'checked';
  return [
    t(`letter.${how}`, { who, day }),
    inSpite
      ? t('letter.inSpite', {
          what: inSpite.of.map((one) => formatFindingTitle(state.programme, one)).join('; '),
          reason: inSpite.reason,
        })
      : '',
  ]
    .filter(Boolean)
    .join(' ');
}

function Fitted({ state, findings }: OfLetter) {
  const [unit] = useUnit();
  const staff = useStaff().data?.staff ?? [];
  const { signed, result } = state.checking;
  const size = state.sizing.chosen?.decided.size;
  const made = state.setting.made.flatMap(({ setting, made: one }) =>
    one ? [`${settingWords(state.programme, setting.id).name}: ${formatMade(setting, one, unit)}`] : [],
  );
  return (
    <section>
      <h2>{t('letter.fitted')}</h2>
      <p>
        {[
          programmeTitle(state.programme),
          `${state.model.name}, ${state.model.maker}`,
          size ? t('letter.size', { size }) : state.sizing.chosen ? t('sizing.madeToMeasure') : '',
        ]
          .filter(Boolean)
          .join('; ')}
        .
      </p>
      {made.length > 0 && (
        <ul>
          {made.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <p>
        {formatSignature(state, findings, staff.find(({ id }) => id === signed?.decided.by)?.name ?? '')}
        {result === 'fail' &&
          ` ${t('letter.fails', {
            checks: state.checking.checks
              .filter(({ judged }) => judged.state === 'fail')
              .map(({ check }) => checkName(check.id))
              .join(', '),
          })}`}
      </p>
    </section>
  );
}

/** Findings that say that the order is not met. */
const againstTheOrder = [
  'exceeds-order',
  'not-as-ordered',
  'stricter-than-ordered',
  'not-set',
  'order-for-other-side',
  'brace-for-other-side',
  'order-ended',
];

/** What is lost against the order, and what this brace could not carry out. */
function AgainstOrder({ state, findings, today }: OfLetter) {
  const [unit] = useUnit();
  const order = state.order!.order;
  // by the order of today: what was chosen for an earlier one says nothing of it
  const lost = state.setting.made.flatMap(({ setting, made, chosen }) => {
    const choice = isChosenFirst(setting)
      ? choiceOn(setting, state, today, chosen?.decided.buffer)
      : undefined;
    const isFitted = choice?.ok && made !== undefined && sameMade(choice.made, made);
    const { extension = 0, flexion = 0 } = isFitted ? choice.lost : {};
    return [
      ...(extension > 0
        ? [
            t('letter.lostExtension', {
              what: settingWords(state.programme, setting.id).name,
              degrees: extension,
            }),
          ]
        : []),
      ...(flexion > 0
        ? [
            t('letter.lostFlexion', {
              what: settingWords(state.programme, setting.id).name,
              degrees: flexion,
            }),
          ]
        : []),
    ];
  });
  const narrower = state.checking.checks.flatMap(({ check, judged }) =>
    judged.state === 'pass' && judged.narrower
      ? [t('letter.narrower', { check: checkName(check.id), degrees: judged.narrower })]
      : [],
  );
  const notReached = state.checking.checks.flatMap(({ check, judged }) =>
    judged.state === 'not-reached' ? [t('letter.notReached', { check: checkName(check.id) })] : [],
  );
  const not = (order.acknowledged ?? []).map((one) =>
    t('letter.notCarriedOut', { what: formatNotCarriedOut(one) }),
  );
  const unmet = findings
    .filter(({ kind }) => againstTheOrder.includes(kind))
    .map((one) => {
      const { title, detail } = formatFinding(state, one, today, unit);
      return [`${title}.`, detail].filter(Boolean).join(' ');
    });
  const all = [...unmet, ...lost, ...narrower, ...notReached, ...not];
  return (
    <section>
      <h2>{t('letter.against')}</h2>
      {all.length > 0 ? (
        <ul>
          {all.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ) : (
        <p>{t('letter.nothingLost')}</p>
      )}
    </section>
  );
}

function Worn({ state, findings }: Omit<OfLetter, 'today'>) {
  const { plan, family, taught, tried } = state.wearing;
  const { trouble, wearing } = state.order!.order;
  const isOfEarlier = findings.some(({ kind }) => kind === 'plan-before-order');
  return (
    <section>
      <h2>{t('letter.worn')}</h2>
      <p>{t('letter.ordered', { wearing })}</p>
      <p>
        {family.lines.map((line) => wearLine(state.programme, line)).join(' ')}{' '}
        {isOfEarlier ? `${t('letter.planEarlier')} ` : ''}
        {plan?.plan.kind === 'growing'
          ? t('letter.grows', {
              first: formatMinutes(plan.plan.firstDay),
              ceiling: formatMinutes(plan.plan.ceiling),
              day: formatDay(plan.plan.from),
            })
          : plan?.plan.kind === 'as-ordered'
            ? `${plan.plan.wearing}, ${t('wearing.since', { day: formatDay(plan.plan.from) })}.`
            : t('patientSheet.noPlan')}
      </p>
      <p>
        {taught
          ? t('wearing.taught', { who: named('who', taught) })
          : tried
            ? t('wearing.notYet', { who: named('who', tried.who) })
            : t('letter.notTaught')}{' '}
        {t('letter.trouble', { what: named('trouble', trouble) })}
      </p>
    </section>
  );
}
