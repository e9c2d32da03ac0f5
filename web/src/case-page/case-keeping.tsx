import { may } from '@estribo/core/access';
import { closingReasons, type CaseState, type ClosingReason } from '@estribo/core/logbook';
import { Briefcase } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { useStaff } from '../api/clinic';
import { useDraft } from '../api/draft';
import { useCasesOf } from '../api/people';
import { useWork } from '../case/case-context';
import { Label } from '../case/label';
import { size } from '../look/tokens';
import { named, t } from '../messages';
import { Button, IconButton } from '../parts/button';
import { Choice } from '../parts/choice';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { formatDay } from '../parts/format';
import { Row, Rule, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { useSaving } from '../parts/use-saving';
import { braceOf } from '../visits/brace-of';
import { VisitDialog } from '../visits/visit-dialog';

const Others = styled.nav`
  display: flex;
  flex-flow: row wrap;
  gap: 0 12px;
  font-size: ${size.small};
  & > a {
    min-height: 24px;
  }
`;

/** The other cases of the person, one touch away. */
export function Siblings({ caseId, person }: { caseId: string; person: string }) {
  const others = useCasesOf(person).data?.cases.filter((one) => one.case !== caseId) ?? [];
  if (others.length === 0) return null;
  return (
    <Others aria-label={t('keeping.siblings')}>
      {others.slice(0, 3).map((one) => (
        <Link key={one.case} to={`/cases/${one.case}/${one.stage ?? 'screen'}`}>
          {braceOf(one)}
          {one.closed ? ` (${t('cases.closed')})` : ''}
        </Link>
      ))}
    </Others>
  );
}

/** What is to be known of the case before anything else: that it is closed, what was noted. */
export function KeptInMind() {
  const { state, user, write } = useWork();
  const { closed, notes } = state.keeping;
  const [saving, save] = useSaving();
  return (
    <>
      {closed && (
        <Notice tone="caution">
          <Stack $gap={8}>
            <span>
              {t('keeping.closedOn', {
                day: formatDay(closed.day),
                because: named('closing', closed.because),
              })}{' '}
              {closed.note} {t('keeping.closedReads')}
            </span>
            {may(user.role, 'cases.write') && (
              <Row>
                <Button
                  isDisabled={saving}
                  onPress={() => void save(() => write('case.reopened', 'case', {}))}
                >
                  {t('keeping.reopen')}
                </Button>
              </Row>
            )}
          </Stack>
        </Notice>
      )}
      {notes[0] && (
        <Notice tone="plain">
          {notes[0].text} <Small>{formatDay(notes[0].day)}</Small>
        </Notice>
      )}
    </>
  );
}

/** How the case is kept: who has it in hand, its visits, notes, label, closing; and the way to the person's other braces. */
export function CaseKeeping({ who }: { who: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <IconButton aria-label={t('keeping.open')} onPress={() => setOpen(true)}>
        <Briefcase size={18} aria-hidden />
      </IconButton>
      {open && <Keeping who={who} onClose={() => setOpen(false)} />}
    </>
  );
}

/** The visit that is waited for, one that was missed first. */
const nextVisit = (state: CaseState) =>
  state.visits.filter(({ kept }) => !kept).sort((a, b) => a.day.localeCompare(b.day))[0];

function Keeping({ who, onClose }: { who: string; onClose: () => void }) {
  const { state, user, write } = useWork();
  const navigate = useNavigate();
  const { data: staff } = useStaff();
  const [visiting, visit] = useState<'new' | 'next'>();
  const [note, setNote] = useDraft(`${state.case}-note`);
  const [to, setTo] = useState('');
  const [closing, setClosing] = useDraft<{ because?: ClosingReason; note: string }>(`${state.case}-closing`, {
    note: '',
  });
  const [problem, setProblem] = useState<string>();
  const [saving, save] = useSaving();
  const { keeper, closed, notes } = state.keeping;
  const mayKeep = may(user.role, 'cases.write');
  const nameOf = (id: string) => staff?.staff.find((one) => one.id === id)?.name ?? '';
  const others = (staff?.staff ?? []).filter(({ id, role }) => id !== keeper && may(role, 'cases.write'));
  const next = nextVisit(state);
  const close = () => {
    const { because } = closing;
    if (!because) return setProblem(t('common.pick'));
    const said = closing.note.trim();
    if (because === 'other' && said.length < 3) return setProblem(t('keeping.otherNeeds'));
    void save(async () => {
      await write('case.closed', 'case', { because, ...(said === '' ? {} : { note: said }) });
      setClosing({ note: '' });
      onClose();
    });
  };
  if (visiting)
    return (
      <VisitDialog
        who={who}
        person={state.person}
        caseId={state.case}
        {...(visiting === 'next' && next
          ? {
              visit: {
                id: next.entry,
                person: state.person,
                case: state.case,
                day: next.day,
                time: next.time ?? null,
                purpose: next.purpose,
                note: next.note ?? null,
                deskNote: next.deskNote ?? null,
              },
            }
          : {})}
        onClose={onClose}
      />
    );
  return (
    <Dialog
      title={t('keeping.title', {
        who,
        brace: braceOf({
          side: state.side,
          region: state.programme.region,
          modelName: state.model.name,
        }),
      })}
      onClose={onClose}
    >
      <Row style={{ justifyContent: 'space-between' }}>
        <span>{t('keeping.keeper', { name: nameOf(keeper) })}</span>
        <Row>
          <Link to={`/people/${state.person}`} style={{ minHeight: 24 }}>
            {t('keeping.person')}
          </Link>
          {mayKeep && (
            <Button onPress={() => void navigate(`/cases/new?person=${state.person}`)}>
              {t('keeping.second', { who })}
            </Button>
          )}
        </Row>
      </Row>
      {may(user.role, 'visits.write') && !closed && (
        <Row>
          {next && (
            <Button onPress={() => visit('next')}>
              {t('keeping.nextVisit', {
                what: `${formatDay(next.day)}${next.time ? ` ${next.time}` : ''}, ${named('purpose', next.purpose)}`,
              })}
            </Button>
          )}
          <Button onPress={() => visit('new')}>{t('visits.plan')}</Button>
        </Row>
      )}
      <Rule />
      {may(user.role, 'notes.write') && (
        <Row $align="flex-end">
          <div style={{ flex: 1 }}>
            <Field label={t('keeping.note')} value={note} onChange={setNote} maxLength={800} />
          </div>
          <Button
            isDisabled={saving || note.trim() === ''}
            onPress={() =>
              void save(() => write('case.noted', 'case', { text: note.trim() }).then(() => setNote('')))
            }
          >
            {t('keeping.noteDo')}
          </Button>
        </Row>
      )}
      {notes.length > 0 && (
        <ul aria-label={t('keeping.notes')}>
          {notes.slice(0, 20).map((one) => (
            <li key={one.entry}>
              {one.text}{' '}
              <Small>
                {formatDay(one.day)}, {nameOf(one.by)}
              </Small>
            </li>
          ))}
        </ul>
      )}
      <Rule />
      <Label />
      {mayKeep && (
        <>
          <Rule />
          {others.length === 0 ? (
            <Soft>{t('keeping.nobodyElse')}</Soft>
          ) : (
            <Row $align="flex-end">
              <Pick
                label={t('keeping.handOver')}
                options={others.map(({ id, name }) => ({ value: id, label: name }))}
                value={to}
                onChange={setTo}
              />
              <Button
                isDisabled={saving || to === ''}
                onPress={() =>
                  void save(() => write('case.handed-over', 'case', { to }).then(() => setTo('')))
                }
              >
                {t('keeping.handOverDo')}
              </Button>
            </Row>
          )}
          {!closed && (
            <>
              <Rule />
              <Soft>{t('keeping.closeHow')}</Soft>
              <Choice
                label={t('keeping.because')}
                options={closingReasons.map((value) => ({ value, label: named('closing', value) }))}
                value={closing.because}
                onChange={(because) => {
                  setProblem(undefined);
                  setClosing({ ...closing, because });
                }}
              />
              <Field
                label={t('keeping.closeNote')}
                value={closing.note}
                onChange={(text) => setClosing({ ...closing, note: text })}
                maxLength={400}
                problem={problem}
              />
              <Row>
                <Button onPress={close} isDisabled={saving}>
                  {t('keeping.close')}
                </Button>
              </Row>
            </>
          )}
        </>
      )}
    </Dialog>
  );
}
