import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import { may } from '@estribo/core/access';
import { useUser } from '../api/clinic';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { OwnFingers } from '../instruments/own-fingers';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Page, Row, Rule, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { OwnPin } from './own-pin';

/** One's own password, with the one that holds now. */
export default function OwnPassword() {
  const user = useUser();
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const [again, setAgain] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [changed, setChanged] = useState(false);
  const put = useMutation({
    mutationFn: () => call('PUT', '/session/password', { password: now, next }),
    onSuccess: () => {
      setProblems({});
      for (const set of [setNow, setNext, setAgain]) set('');
      setChanged(true);
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  const change = () => {
    setChanged(false);
    if (next !== again) return setProblems({ again: t('password.differs') });
    put.mutate();
  };
  return (
    <Page>
      <h1>{t('password.title')}</h1>
      <Form
        validationBehavior="aria"
        onSubmit={(event) => {
          event.preventDefault();
          change();
        }}
      >
        <Stack style={{ maxWidth: 420 }}>
          <Field
            label={t('password.now')}
            value={now}
            onChange={setNow}
            type="password"
            autoComplete="current-password"
            problem={problems.password}
            autoFocus
          />
          <Field
            label={t('password.next')}
            value={next}
            onChange={setNext}
            type="password"
            autoComplete="new-password"
            help={t('password.help')}
            problem={problems.next}
          />
          <Field
            label={t('password.again')}
            value={again}
            onChange={setAgain}
            type="password"
            autoComplete="new-password"
            problem={problems.again}
          />
          {problems[''] && (
            <Notice tone="stop" live>
              {problems['']}
            </Notice>
          )}
          {changed && (
            <Notice tone="good" live>
              {t('password.changed')}
            </Notice>
          )}
          <Row>
            <Button look="main" type="submit" isDisabled={put.isPending || now === '' || next === ''}>
              {t('password.change')}
            </Button>
          </Row>
        </Stack>
      </Form>
      <Rule />
      <OwnPin />
      {may(user.role, 'checking.write') && (
        <>
          <Rule />
          <Stack style={{ maxWidth: 620 }}>
            <h2>{t('fingers.label')}</h2>
            <OwnFingers />
          </Stack>
        </>
      )}
    </Page>
  );
}
