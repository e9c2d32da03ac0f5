import { useState } from 'react';
import { Form } from 'react-aria-components';
import { call, formProblems } from '../api/http';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Page, Row, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';
import { useSaving } from '../parts/use-saving';

/** One's own password, with the one that holds now. */
export default function OwnPassword() {
  const [now, setNow] = useState('');
  const [next, setNext] = useState('');
  const [again, setAgain] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const [changed, setChanged] = useState(false);
  const [saving, save] = useSaving();
  const change = async () => {
    setChanged(false);
    if (next !== again) return setProblems({ again: t('password.differs') });
    try {
      await call('PUT', '/session/password', { password: now, next });
      setProblems({});
      for (const set of [setNow, setNext, setAgain]) set('');
      setChanged(true);
    } catch (error) {
      setProblems(formProblems(error, t('common.away')));
    }
  };
  return (
    <Page>
      <h1>{t('password.title')}</h1>
      <Form
        validationBehavior="aria"
        onSubmit={(event) => {
          event.preventDefault();
          void save(change);
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
            <Button look="main" type="submit" isDisabled={saving || now === '' || next === ''}>
              {t('password.change')}
            </Button>
          </Row>
        </Stack>
      </Form>
    </Page>
  );
}
