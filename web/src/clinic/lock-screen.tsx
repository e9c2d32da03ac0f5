import { useState } from 'react';
import { useSession } from '../api/clinic';
import { sayRefusal } from '../api/say-problem';
import { signIn, takeOver } from '../api/session';
import { NotSecure } from '../frame/not-secure';
import { SignOutButton } from '../frame/sign-out-button';
import { named, t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Small, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { Fill, Place, StrapPicture } from './sign-in';

/** Who is at the machine? Whoever has signed in here today says so by PIN, anybody else by login and password. */
export function LockScreen() {
  const { data } = useSession();
  const here = data?.here ?? [];
  const [chosen, choose] = useState(data?.user?.id);
  const [pin, setPin] = useState('');
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const one = here.find(({ id }) => id === chosen);
  const byPin = one?.hasPin === true;
  const enter = async (work: () => Promise<void>) => {
    setBusy(true);
    setProblem(undefined);
    try {
      await work();
    } catch (error) {
      setPin('');
      setProblem(sayRefusal(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <Place>
      <StrapPicture />
      <Stack>
        <Fill
          onSubmit={(event) => {
            event.preventDefault();
            if (byPin && chosen) void enter(() => takeOver(chosen, pin));
            else void enter(() => signIn(one?.login ?? login, password));
          }}
        >
          <div>
            <h1>{t('lock.title')}</h1>
            <Soft>{t('lock.kept')}</Soft>
            {data?.untold && <Soft role="status">{t('lock.away')}</Soft>}
          </div>
          <Row role="group" aria-label={t('lock.who')}>
            {here.map(({ id, name, role }) => (
              <Button
                key={id}
                look={id === chosen ? 'main' : 'second'}
                aria-pressed={id === chosen}
                onPress={() => {
                  choose(id);
                  setPin('');
                  setProblem(undefined);
                }}
              >
                {name}, {named('roles', role)}
              </Button>
            ))}
            <Button
              look={one ? 'second' : 'main'}
              aria-pressed={!one}
              onPress={() => {
                choose(undefined);
                setProblem(undefined);
              }}
            >
              {t('lock.another')}
            </Button>
          </Row>
          {byPin ? (
            <Field
              key={chosen!}
              label={t('lock.pinOf', { name: one.name })}
              value={pin}
              onChange={setPin}
              type="password"
              inputMode="numeric"
              autoComplete="off"
              autoFocus
              maxLength={8}
            />
          ) : (
            <>
              {one ? (
                <Small>{t('lock.noPin', { name: one.name })}</Small>
              ) : (
                <Field
                  label={t('signIn.login')}
                  value={login}
                  onChange={setLogin}
                  autoComplete="username"
                  autoFocus
                />
              )}
              <Field
                key={one?.id ?? ''}
                autoFocus={one !== undefined}
                label={t('signIn.password')}
                value={password}
                onChange={setPassword}
                type="password"
                autoComplete="current-password"
              />
            </>
          )}
          {problem && (
            <Notice tone="stop" live>
              {problem}
            </Notice>
          )}
          <Button look="main" type="submit" isDisabled={busy} wide>
            {t('lock.enter')}
          </Button>
        </Fill>
        <Row style={{ justifyContent: 'space-between' }}>
          <NotSecure />
          <SignOutButton />
        </Row>
      </Stack>
    </Place>
  );
}
