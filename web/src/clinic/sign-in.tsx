import { useState } from 'react';
import { Form } from 'react-aria-components';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { useSession } from '../api/clinic';
import { RefusedError } from '../api/http';
import { sayRefusal } from '../api/say-problem';
import { signIn } from '../api/session';
import { t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Notice } from '../parts/notice';
import { Soft, Stack } from '../parts/layout';
import { NotSecure } from '../frame/not-secure';
import { OutboxOfOthers } from '../frame/outbox-state';
import { color } from '../look/tokens';

export const Place = styled.main`
  min-height: 100vh;
  display: grid;
  grid-template-columns: 92px minmax(0, 400px);
  justify-content: center;
  align-items: center;
  gap: 40px;
  padding: 24px;
`;

/** Its problems come from the server: a field that has one does not keep the form from being sent again. */
export const Fill = styled(Form).attrs({ validationBehavior: 'aria' })`
  display: flex;
  flex-direction: column;
  gap: 16px;
`;

/** A strap with its buckle: the page's only ornament. */
export function StrapPicture() {
  return (
    <svg
      viewBox="0 0 92 520"
      width="92"
      height="520"
      aria-hidden
      style={{ alignSelf: 'stretch', height: '100%' }}
    >
      <path d="M26 -40H66V480Q66 505 46 520Q26 505 26 480Z" fill={color('saddle')} />
      <path
        d="M32 -40V478Q33 498 46 510Q59 498 60 478V-40"
        fill="none"
        stroke={color('thread')}
        strokeWidth="1.300"
        strokeDasharray="5 4"
      />
      {[60, 150, 330, 420].map((y) => (
        <circle key={y} cx="46" cy={y} r="5.500" fill={color('saddleDeep')} />
      ))}
      <circle cx="46" cy="240" r="5.500" fill={color('saddleDeep')} />
      <rect
        x="10"
        y="212"
        width="72"
        height="56"
        rx="9"
        fill="none"
        stroke={color('brass')}
        strokeWidth="7"
      />
      <path d="M12 240H48" stroke={color('brass')} strokeWidth="6" strokeLinecap="round" />
    </svg>
  );
}

export function SignIn() {
  const { data } = useSession();
  const navigate = useNavigate();
  const [login, setLogin] = useState('');
  const [password, setPassword] = useState('');
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  // a one-time code was typed: a password of one's own is chosen by it
  const [choosing, setChoosing] = useState<{ next: string; again: string; problem?: string }>();
  const submit = async () => {
    if (login.trim() === '' || password === '') return setProblem(t('signIn.both'));
    if (choosing && choosing.next !== choosing.again)
      return setChoosing({ ...choosing, problem: t('password.differs') });
    setBusy(true);
    try {
      await signIn(login, password, choosing?.next);
      await navigate('/bench');
    } catch (error) {
      const asked = error instanceof RefusedError && error.problem.faults?.find(({ at }) => at === 'next');
      if (asked) {
        setProblem(undefined);
        return setChoosing(choosing ? { ...choosing, problem: asked.message } : { next: '', again: '' });
      }
      setProblem(sayRefusal(error));
    } finally {
      setBusy(false);
    }
  };
  if (data?.setUp) return <LeadTo to="/set-up" />;
  return (
    <Place>
      <StrapPicture />
      <div>
        <Fill
          onSubmit={(event) => {
            event.preventDefault();
            void submit();
          }}
        >
          <div>
            <h1>Estribo</h1>
            <Soft>{data?.clinic.name ?? ' '}</Soft>
          </div>
          <Field
            label={t('signIn.login')}
            value={login}
            onChange={setLogin}
            autoFocus
            autoComplete="username"
          />
          <Field
            label={t('signIn.password')}
            value={password}
            onChange={setPassword}
            type="password"
            autoComplete="current-password"
          />
          {choosing && (
            <>
              <Notice tone="plain" live>
                {t('signIn.choose')}
              </Notice>
              <Field
                label={t('password.next')}
                value={choosing.next}
                onChange={(next) => setChoosing({ next, again: choosing.again })}
                type="password"
                autoComplete="new-password"
                help={t('password.help')}
                problem={choosing.problem}
                autoFocus
              />
              <Field
                label={t('password.again')}
                value={choosing.again}
                onChange={(again) => setChoosing({ next: choosing.next, again })}
                type="password"
                autoComplete="new-password"
              />
            </>
          )}
          {data?.untold && <Notice tone="plain">{t('signIn.untold')}</Notice>}
          {problem && (
            <Notice tone="stop" live>
              {problem}
            </Notice>
          )}
          <Button look="main" type="submit" isDisabled={busy} wide>
            {t('signIn.signIn')}
          </Button>
        </Fill>
        <Stack $gap={8} style={{ marginTop: 20 }}>
          <OutboxOfOthers />
          <NotSecure />
        </Stack>
      </div>
    </Place>
  );
}
