import { visitPurposes, type VisitPurpose } from '@estribo/core/logbook';
import { may } from '@estribo/core/access';
import type { ListedVisit } from '@estribo/core/answers';
import { addDays, clockShows } from '@estribo/core/calendar';
import { useState } from 'react';
import { useToday, useUser, useZone } from '../api/clinic';
import { useDraft } from '../api/draft';
import { useCasesOf, useVisitsOf } from '../api/people';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { Row } from '../parts/layout';
import { TimeField } from '../parts/time-field';
import { useSaving } from '../parts/use-saving';
import { braceOf } from './brace-of';
import type { VisitDialogProps } from './visit-dialog';
import { callOffVisit, moveVisit, noteCame, planVisit } from './write-visit';

interface VisitDraft {
  day?: string;
  time?: string;
  purpose?: VisitPurpose;
  note?: string;
  deskNote?: string;
  caseId?: string;
}

const none = '-';

/** A note as it is sent: undefined where it stays as it was. */
const changed = (typed: string, was: string | null | undefined): string | undefined =>
  typed.trim() === (was ?? '') ? undefined : typed.trim();

const minutesOf = (time: string): number => Number(time.slice(0, 2)) * 60 + Number(time.slice(3));

/** Other visits that somebody is expected to within an hour of one; without a time, all of that day. */
const nearIn = (
  visits: readonly ListedVisit[],
  one: { id: string | undefined; day: string; time: string | null },
): ListedVisit[] =>
  visits.filter(
    ({ id, day, time, state }) =>
      state === 'planned' &&
      id !== one.id &&
      day === one.day &&
      (time === null || one.time === null || Math.abs(minutesOf(time) - minutesOf(one.time)) < 60),
  );

/** The form of a visit that is planned, moved or called off. */
export default function VisitForm({ who, person, visit, to, caseId, onClose }: VisitDialogProps) {
  const user = useUser();
  const zone = useZone();
  const today = useToday();
  const asksBrace = visit === undefined && caseId === undefined;
  const cases = useCasesOf(asksBrace ? person : undefined).data?.cases.filter(({ closed }) => !closed);
  const start: VisitDraft = visit
    ? {
        day: to ?? visit.day,
        ...(visit.time ? { time: visit.time } : {}),
        purpose: visit.purpose,
        ...(visit.note ? { note: visit.note } : {}),
        ...(visit.deskNote ? { deskNote: visit.deskNote } : {}),
      }
    : { ...(to ? { day: to } : {}) };
  const [draft, setDraft] = useDraft(`visit-${visit?.id ?? `${person}-${caseId ?? ''}`}-${to ?? ''}`, start);
  const { day, time, note = '', deskNote = '' } = draft;
  const reads = may(user.role, 'record.read');
  const others = useVisitsOf(person).data?.visits ?? [];
  const close = day === undefined ? [] : nearIn(others, { id: visit?.id, day, time: time ?? null });
  const chosen = draft.caseId ?? (cases?.length === 1 ? cases[0]!.case : undefined);
  const of = caseId ?? (chosen === none ? undefined : chosen);
  // who has a brace comes to have it looked at, who has none comes for the first time
  const purpose = draft.purpose ?? (of === undefined ? 'first' : 'review');
  const [problem, setProblem] = useState<string>();
  const [noSuchTime, setNoSuchTime] = useState<string>();
  /** the day and time beside another visit that were confirmed */
  const [beside, confirm] = useState<string>();
  const [off, setOff] = useState(false);
  const [why, setWhy] = useState('');
  const [saving, save] = useSaving();
  const done = (work: () => Promise<void>) =>
    void save(async () => {
      await work();
      setDraft(start);
      onClose();
    });
  const at = { user, zone };
  const keep = () => {
    if (!day) return setProblem(t('visits.dayNeeded'));
    if (day < today && day !== visit?.day) return setProblem(t('visits.dayPast'));
    if (day > addDays(today, 1098)) return setProblem(t('visits.dayFar'));
    if (time && !clockShows(day, time, zone)) return setNoSuchTime(t('visits.timeGone'));
    if (close.length > 0 && beside !== `${day} ${time}`) return confirm(`${day} ${time}`);
    const wanted = {
      day,
      time: time ?? null,
      purpose,
      note: changed(note, visit?.note),
      deskNote: changed(deskNote, visit?.deskNote),
    };
    done(() =>
      visit ? moveVisit(at, visit, wanted, t('visits.moved')) : planVisit(at, { person, caseId: of }, wanted),
    );
  };
  return (
    <Dialog title={t(visit ? 'visits.of' : 'visits.planFor', { who })} onClose={onClose}>
      {asksBrace && cases && cases.length > 0 && (
        <Pick
          label={t('visits.brace')}
          options={[
            ...cases.map((one) => ({ value: one.case, label: braceOf(one) })),
            { value: none, label: t('visits.noBrace') },
          ]}
          value={chosen ?? none}
          onChange={(value) => setDraft({ ...draft, caseId: value })}
        />
      )}
      <Row $align="flex-start">
        <DayField
          label={t('visits.day')}
          value={day}
          problem={problem}
          onChange={(on) => {
            const { day: _was, ...rest } = draft;
            setProblem(undefined);
            setDraft(on ? { ...rest, day: on } : rest);
          }}
        />
        <TimeField
          label={t('visits.time')}
          value={time}
          problem={noSuchTime}
          onChange={(clock) => {
            setNoSuchTime(undefined);
            const { time: _was, ...rest } = draft;
            setDraft(clock ? { ...rest, time: clock } : rest);
          }}
        />
        <Pick
          label={t('visits.purpose')}
          options={visitPurposes.map((value) => ({ value, label: named('purpose', value) }))}
          value={purpose}
          onChange={(value) => setDraft({ ...draft, purpose: value as VisitPurpose })}
        />
      </Row>
      <Field
        label={t('visits.deskNote')}
        value={deskNote}
        onChange={(text) => setDraft({ ...draft, deskNote: text })}
        maxLength={400}
        help={t('visits.deskNoteHelp')}
      />
      {reads && (
        <Field
          label={t('visits.note')}
          value={note}
          onChange={(text) => setDraft({ ...draft, note: text })}
          maxLength={400}
          help={t('visits.noteHelp')}
        />
      )}
      {close.length > 0 && !off && (
        <Notice tone="caution" live>
          {t('visits.booked', {
            count: close.length,
            visits: close
              .map((one) => [one.time ?? t('visits.noTime'), named('purpose', one.purpose)].join(' '))
              .join(', '),
          })}
        </Notice>
      )}
      {off && <Field label={t('visits.whyOff')} value={why} onChange={setWhy} maxLength={400} autoFocus />}
      <Row>
        {off ? (
          <Button
            look="main"
            isDisabled={saving}
            onPress={() =>
              done(() =>
                callOffVisit(at, visit!, why.trim().length >= 3 ? why.trim() : t('visits.calledOff')),
              )
            }
          >
            {t('visits.callOff')}
          </Button>
        ) : (
          <Button look="main" isDisabled={saving} onPress={keep}>
            {t(
              close.length > 0 && beside === `${day} ${time}`
                ? 'visits.bookAnyway'
                : visit && day !== visit.day
                  ? 'visits.move'
                  : 'visits.save',
            )}
          </Button>
        )}
        {visit && !off && (
          <Button isDisabled={saving} onPress={() => setOff(true)}>
            {t('visits.callOff')}
          </Button>
        )}
        {visit?.case === null && !off && visit.day <= today && (
          <Button isDisabled={saving} onPress={() => done(() => noteCame(at, visit))}>
            {t('visits.came')}
          </Button>
        )}
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
      {off && visit?.case && <Notice tone="plain">{t('record.oldStays')}</Notice>}
    </Dialog>
  );
}
