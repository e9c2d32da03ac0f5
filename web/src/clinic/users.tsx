import { users, type ListedUser as User } from '@estribo/core/answers';
import { roles, type Role } from '@estribo/core/access';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useDraft } from '../api/draft';
import { v7 } from 'uuid';
import { ask, call, formProblems } from '../api/http';
import { queries } from '../api/queries';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Choice } from '../parts/choice';
import { Dialog } from '../parts/dialog';
import { Field } from '../parts/field';
import { Row, RuledTable, Sheet, Small, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Tick } from '../parts/tick';

/** Everybody who may sign in, with what they may do. */
export function Users() {
  const { data, isError } = useQuery({
    queryKey: ['users'],
    queryFn: () => ask(users, '/users'),
  });
  const [open, setOpen] = useState<User | 'new'>();
  const [saved, setSaved] = useState<string>();
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
  // a password is never kept
  const start = {
    name: user?.name ?? '',
    login: user?.login ?? '',
    role: user?.role ?? ('orthotist' as Role),
    active: user?.active ?? true,
  };
  const [draft, setDraft] = useDraft(`user-${user?.id ?? 'new'}`, start);
  const { name, login, role, active } = draft;
  const [password, setPassword] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const put = useMutation({
    mutationFn: () =>
      call('PUT', `/users/${user?.id ?? v7()}`, {
        name,
        login: login.trim(),
        role,
        active,
        ...(password === '' ? {} : { password }),
      }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['users'] });
      void queries.invalidateQueries({ queryKey: ['audit'] });
      setDraft(start);
      onClose(name);
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  const elsewhere = problems[''] ?? problems.role ?? problems.active;
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
      <Tick isSelected={active} onChange={(is) => setDraft({ ...draft, active: is })}>
        {t('clinicPage.active')}
      </Tick>
      <Field
        label={t(user ? 'clinicPage.newPassword' : 'clinicPage.firstPassword')}
        value={password}
        onChange={setPassword}
        type="password"
        autoComplete="new-password"
        help={t('password.help')}
        problem={problems.password}
      />
      {elsewhere && (
        <Notice tone="stop" live>
          {elsewhere}
        </Notice>
      )}
      <Row>
        <Button look="main" isDisabled={put.isPending} onPress={() => put.mutate()}>
          {t('clinicPage.save')}
        </Button>
        <Button look="quiet" onPress={() => onClose()}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
