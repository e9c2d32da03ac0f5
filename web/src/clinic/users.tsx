import { givenCode, users, type ListedUser as User } from '@estribo/core/answers';
import { roles, type Role } from '@estribo/core/access';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useUser, useZone } from '../api/clinic';
import { useDraft } from '../api/draft';
import { v7 } from 'uuid';
import { ask, call, tell } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { useUnit } from '../browser/preferences';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { formatInstant, formatNumber, formatReading } from '../parts/format';
import { Big, Row, RuledTable, Sheet, Small, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { readQuantity } from '../parts/reading-field';
import { Tick } from '../parts/tick';

/** Everybody who may sign in, with what they may do. */
export function Users() {
  const { data, isError } = useQuery({
    queryKey: ['users'],
    queryFn: () => ask(users, '/users'),
  });
  const [open, setOpen] = useState<User | 'new'>();
  const [saved, setSaved] = useState<string>();
  const [unit] = useUnit();
  return (
    <Sheet>
      <Stack $gap={12}>
        <Row style={{ justifyContent: 'space-between' }}>
          <h2>{t('clinicPage.users')}</h2>
          <Button look="main" onPress={() => setOpen('new')}>
            {t('clinicPage.add')}
          </Button>
        </Row>
        {saved && (
          <Notice tone="good" live>
            {t('clinicPage.saved', { name: saved })}
          </Notice>
        )}
        {data ? (
          <RuledTable>
            <thead>
              <tr>
                <th scope="col">{t('clinicPage.name')}</th>
                <th scope="col">{t('clinicPage.login')}</th>
                <th scope="col">{t('clinicPage.role')}</th>
                <th scope="col">{t('clinicPage.fingers')}</th>
                <th scope="col">{t('clinicPage.pin')}</th>
                <th scope="col">{t('clinicPage.sessions')}</th>
              </tr>
            </thead>
            <tbody>
              {data.users.map((user) => (
                <tr key={user.id}>
                  <td>
                    <Button
                      look="quiet"
                      style={{ marginLeft: -18 }}
                      aria-label={t('clinicPage.change', { name: user.name })}
                      onPress={() => setOpen(user)}
                    >
                      {user.name}
                    </Button>
                  </td>
                  <td>{user.login}</td>
                  <td>
                    {named('roles', user.role)} {!user.active && <Small>· {t('clinicPage.closed')}</Small>}
                  </td>
                  <td>{user.threeFingers === null ? '–' : formatReading(user.threeFingers, 'mm', unit)}</td>
                  <td>{t(user.hasPin ? 'common.yes' : 'common.no')}</td>
                  <td>
                    {user.sessions}
                    {user.codeUntil && <Small> · {t('clinicPage.codeOpen')}</Small>}
                  </td>
                </tr>
              ))}
            </tbody>
          </RuledTable>
        ) : (
          <Loading away={isError} />
        )}
      </Stack>
      {open && (
        <OneUser
          user={open === 'new' ? undefined : open}
          onClose={(name) => {
            setOpen(undefined);
            setSaved(name);
          }}
        />
      )}
    </Sheet>
  );
}

function OneUser({ user, onClose }: { user: User | undefined; onClose: (saved?: string) => void }) {
  const me = useUser();
  const zone = useZone();
  const [unit] = useUnit();
  const [id] = useState(() => user?.id ?? v7());
  const start = {
    name: user?.name ?? '',
    login: user?.login ?? '',
    role: user?.role ?? ('orthotist' as Role),
    active: user?.active ?? true,
    fingers: user?.threeFingers ? formatNumber(user.threeFingers, 'mm', unit) : '',
  };
  const [draft, setDraft] = useDraft(`user-${user?.id ?? 'new'}`, start);
  const { name, login, role, active, fingers } = draft;
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [code, setCode] = useState<{ code: string; until: string }>();
  const asked = () => {
    void queries.invalidateQueries({ queryKey: ['users'] });
    void queries.invalidateQueries({ queryKey: ['audit'] });
  };
  const onError = (error: unknown) => setProblems(formProblems(error, t('common.away')));
  const giveCode = useMutation({
    mutationFn: () => tell(givenCode, 'POST', `/users/${id}/code`),
    onSuccess: (given) => {
      setCode(given);
      asked();
    },
    onError,
  });
  const put = useMutation({
    mutationFn: (threeFingers: number | null) =>
      call('PUT', `/users/${id}`, { name, login: login.trim(), role, active, threeFingers }),
    onSuccess: () => {
      asked();
      setDraft(start);
      // who is new can sign in only by a code: it is given at once
      if (user) onClose(name);
      else giveCode.mutate();
    },
    onError,
  });
  const signOut = useMutation({
    mutationFn: () => call('POST', `/users/${id}/sign-out`),
    onSuccess: () => {
      asked();
      onClose(name);
    },
    onError,
  });
  const save = () => {
    if (fingers.trim() === '') return put.mutate(null);
    const read = readQuantity(fingers, 'length', unit);
    if ('problem' in read) return setProblems({ threeFingers: read.problem });
    put.mutate(Math.round(read.value * 10) / 10);
  };
  const elsewhere = problems[''] ?? problems.role ?? problems.active;
  if (code)
    return (
      <Dialog title={t('clinicPage.codeFor', { name: draft.name || name })} onClose={() => onClose()}>
        <Big>{code.code}</Big>
        <p>{t('clinicPage.codeHow', { until: formatInstant(code.until, zone) })}</p>
        <Row>
          <Button look="main" onPress={() => onClose()}>
            {t('common.close')}
          </Button>
        </Row>
      </Dialog>
    );
  return (
    <Dialog
      title={user ? t('clinicPage.change', { name: user.name }) : t('clinicPage.add')}
      onClose={() => onClose()}
    >
      <Field
        label={t('clinicPage.name')}
        value={name}
        onChange={(text) => setDraft({ ...draft, name: text })}
        problem={problems.name}
        autoFocus
        maxLength={120}
      />
      <Field
        label={t('clinicPage.login')}
        value={login}
        onChange={(text) => setDraft({ ...draft, login: text })}
        problem={problems.login}
        autoComplete="off"
        maxLength={60}
      />
      <Choice
        label={t('clinicPage.role')}
        options={roles.map((value) => ({ value, label: named('roles', value) }))}
        value={role}
        onChange={(chosen) => setDraft({ ...draft, role: chosen })}
      />
      <Field
        label={`${t('clinicPage.fingers')} (${unit})`}
        value={fingers}
        onChange={(text) => setDraft({ ...draft, fingers: text })}
        problem={problems.threeFingers}
        maxLength={12}
        width="200px"
      />
      <Tick isSelected={active} onChange={(is) => setDraft({ ...draft, active: is })}>
        {t('clinicPage.active')}
      </Tick>
      {!user && <Soft>{t('clinicPage.codeFollows')}</Soft>}
      {elsewhere && (
        <Notice tone="stop" live>
          {elsewhere}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={put.isPending || giveCode.isPending} onPress={save}>
          {t('clinicPage.save')}
        </Button>
        {user && user.id !== me.id && user.active && (
          <Button isDisabled={giveCode.isPending} onPress={() => giveCode.mutate()}>
            {t('clinicPage.giveCode')}
          </Button>
        )}
        {user && (
          <Button isDisabled={signOut.isPending} onPress={() => signOut.mutate()}>
            {t('clinicPage.signOut')}
          </Button>
        )}
        <Button look="quiet" onPress={() => onClose()}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
