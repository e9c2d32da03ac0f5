import { may } from '@estribo/core/access';
import { calibrations, instruments, type ListedInstrument } from '@estribo/core/answers';
import { addDays } from '@estribo/core/calendar';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useStaff, useToday, useUser } from '../api/clinic';
import { useDraft } from '../api/draft';
import { ask, call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { useUnit } from '../browser/preferences';
import { Calibration } from '../instruments/calibration';
import { color } from '../look/tokens';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { DayField } from '../parts/day-field';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { formatDate } from '../parts/format';
import { Loading } from '../parts/loading';
import { Row, RuledTable, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Pick } from '../parts/pick';
import { readQuantity } from '../parts/reading-field';

/** What each kind of instrument reads in. */
const signs: Readonly<Record<string, string>> = {
  tape: 'mm',
  calliper: 'mm',
  goniometer: '°',
  inclinometer: '°',
  scale: 'kg',
  gauge: 'N',
};

/** An offset in the instrument's own unit, whatever lengths are shown in. */
const saidOffset = (offset: number, kind: string): string =>
  `${String(offset).replace('-', '−')}${signs[kind] === '°' ? '' : ' '}${signs[kind] ?? ''}`;

/** The instruments of the clinic: which are real, which stand in, when each was calibrated. */
export function Instruments() {
  const user = useUser();
  const today = useToday();
  const { data, isError } = useQuery({
    queryKey: ['instruments'],
    queryFn: () => ask(instruments, '/instruments'),
  });
  const [asked, askFor] = useState<{ what: 'calibrate' | 'history'; of: ListedInstrument } | 'register'>();
  if (!data) return <Loading away={isError} />;
  const mayWrite = may(user.role, 'instruments.write');
  const real = new Set(data.instruments.filter(({ simulated }) => !simulated).map(({ kind }) => kind));
  const until = ({ calibratedOn, validDays }: ListedInstrument) => addDays(calibratedOn, validDays);
  const stands = ({ simulated, kind }: ListedInstrument) =>
    !simulated ? 'real' : real.has(kind) ? 'silent' : 'standsIn';
  const open = typeof asked === 'object' ? asked : undefined;
  return (
    <Sheet>
      <Stack $gap={12}>
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>{t('clinicPage.section.instruments')}</h2>
          {mayWrite && (
            <Button look="main" onPress={() => askFor('register')}>
              {t('instrumentsPage.register')}
            </Button>
          )}
        </Row>
        {data.instruments.length === 0 && <Soft>{t('instrumentsPage.none')}</Soft>}
        {data.instruments.length > 0 && (
          <RuledTable>
            <thead>
              <tr>
                <th scope="col">{t('instrumentsPage.name')}</th>
                <th scope="col">{t('instrumentsPage.kind')}</th>
                <th scope="col">{t('instrumentsPage.offset')}</th>
                <th scope="col">{t('instrumentsPage.until')}</th>
                <th scope="col">{t('instrumentsPage.runs')}</th>
                <th scope="col" aria-label={t('instrumentsPage.do')} />
              </tr>
            </thead>
            <tbody>
              {data.instruments.map((one) => (
                <tr key={one.id}>
                  <td>{one.name}</td>
                  <td>{named('instrumentKind', one.kind)}</td>
                  <td>{saidOffset(one.offset, one.kind)}</td>
                  <td style={until(one) < today ? { color: color('madder'), fontWeight: 700 } : undefined}>
                    {formatDate(until(one))}
                    {until(one) < today && ` · ${t('instrumentsPage.overdue')}`}
                  </td>
                  <td>{t(`instrumentsPage.${stands(one)}`)}</td>
                  <td>
                    <Row $gap={4}>
                      {mayWrite && (
                        <Button
                          aria-label={t('instrumentsPage.calibrate', { name: one.name })}
                          onPress={() => askFor({ what: 'calibrate', of: one })}
                        >
                          {t('instrumentsPage.calibrateDo')}
                        </Button>
                      )}
                      <Button
                        look="quiet"
                        aria-label={t('instrumentsPage.historyOf', { name: one.name })}
                        onPress={() => askFor({ what: 'history', of: one })}
                      >
                        {t('instrumentsPage.history')}
                      </Button>
                    </Row>
                  </td>
                </tr>
              ))}
            </tbody>
          </RuledTable>
        )}
        <Small>{t('instrumentsPage.how')}</Small>
      </Stack>
      {open?.what === 'calibrate' && (
        <Calibration
          line={{ instrument: open.of.id, name: open.of.name, offset: open.of.offset }}
          sign={signs[open.of.kind] ?? ''}
          onClose={() => askFor(undefined)}
        />
      )}
      {open?.what === 'history' && <History of={open.of} onClose={() => askFor(undefined)} />}
      {asked === 'register' && <Register onClose={() => askFor(undefined)} />}
    </Sheet>
  );
}

function History({ of, onClose }: { of: ListedInstrument; onClose: () => void }) {
  const { data: staff } = useStaff();
  const { data, isError } = useQuery({
    queryKey: ['instruments', of.id, 'calibrations'],
    queryFn: () => ask(calibrations, `/instruments/${of.id}/calibrations`),
  });
  return (
    <Dialog title={t('instrumentsPage.historyOf', { name: of.name })} onClose={onClose}>
      {!data ? (
        <Loading away={isError} />
      ) : data.calibrations.length === 0 ? (
        <Soft>{t('instrumentsPage.noHistory')}</Soft>
      ) : (
        <RuledTable>
          <tbody>
            {data.calibrations.map((one) => (
              <tr key={one.n}>
                <td>{formatDate(one.calibratedOn)}</td>
                <td>{saidOffset(one.offset, of.kind)}</td>
                <td>{staff?.staff.find(({ id }) => id === one.by)?.name ?? t('instrumentsPage.shipped')}</td>
              </tr>
            ))}
          </tbody>
        </RuledTable>
      )}
      <Row>
        <Button look="quiet" onPress={onClose}>
          {t('common.close')}
        </Button>
      </Row>
    </Dialog>
  );
}

function Register({ onClose }: { onClose: () => void }) {
  const today = useToday();
  const [unit] = useUnit();
  const start = {
    id: '',
    name: '',
    kind: 'tape',
    validDays: '365',
    offset: '0',
    day: today as string | null,
  };
  const [draft, setDraft] = useDraft('new-instrument', start);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const post = useMutation({
    mutationFn: (offset: number) =>
      call('POST', '/instruments', {
        id: draft.id.trim().toLowerCase(),
        name: draft.name.trim(),
        kind: draft.kind,
        validDays: Number(draft.validDays),
        calibratedOn: draft.day,
        offset,
      }),
    onSuccess: () => {
      setDraft(start);
      void queries.invalidateQueries({ queryKey: ['instruments'] });
      onClose();
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  const save = () => {
    const offset = readQuantity(draft.offset, 'count', unit);
    const wrong: Record<string, string> = {
      ...(/^[a-z0-9][a-z0-9-]{0,79}$/i.test(draft.id.trim()) ? {} : { id: t('instrumentsPage.idWrong') }),
      ...(draft.name.trim() === '' ? { name: t('instrumentsPage.nameNeeded') } : {}),
      ...(/^[1-9]\d{0,3}$/.test(draft.validDays.trim()) ? {} : { validDays: t('instrumentsPage.daysWrong') }),
      ...(draft.day === null ? { calibratedOn: t('visits.dayNeeded') } : {}),
      ...('problem' in offset ? { offset: offset.problem } : {}),
    };
    setProblems(wrong);
    if (Object.keys(wrong).length === 0 && !('problem' in offset)) post.mutate(offset.value);
  };
  return (
    <Dialog title={t('instrumentsPage.register')} onClose={onClose}>
      <Soft>{t('instrumentsPage.registerHow')}</Soft>
      <Pick
        label={t('instrumentsPage.kind')}
        options={Object.keys(signs).map((value) => ({ value, label: named('instrumentKind', value) }))}
        value={draft.kind}
        onChange={(kind) => setDraft({ ...draft, kind })}
      />
      <Field
        label={t('instrumentsPage.name')}
        value={draft.name}
        onChange={(name) => setDraft({ ...draft, name })}
        problem={problems.name}
        maxLength={80}
      />
      <Field
        label={t('instrumentsPage.id')}
        value={draft.id}
        onChange={(id) => setDraft({ ...draft, id })}
        problem={problems.id}
        maxLength={80}
      />
      <Row $align="flex-start">
        <DayField
          label={t('instruments.calibratedOn')}
          value={draft.day ?? undefined}
          onChange={(day) => setDraft({ ...draft, day: day ?? null })}
          problem={problems.calibratedOn}
        />
        <Field
          label={t('instruments.offset', { unit: signs[draft.kind] ?? '' })}
          value={draft.offset}
          onChange={(offset) => setDraft({ ...draft, offset })}
          problem={problems.offset}
          maxLength={12}
          width="130px"
        />
        <Field
          label={t('instrumentsPage.validDays')}
          value={draft.validDays}
          onChange={(validDays) => setDraft({ ...draft, validDays })}
          problem={problems.validDays}
          maxLength={4}
          width="130px"
        />
      </Row>
      {(problems[''] ?? problems.kind) && (
        <Notice tone="stop" live>
          {problems[''] ?? problems.kind}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={post.isPending} onPress={save}>
          {t('instrumentsPage.register')}
        </Button>
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
