import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-aria-components';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Row, Soft, Stack } from '../parts/layout';
import { Notice } from '../parts/notice';

/** One's own PIN, chosen with the password. */
export function OwnPin() {
  const [password, setPassword] = useState('');
  const [pin, setPin] = useState('');
  const [problems, setProblems] = useState<Record<string, string>>({});
  const put = useMutation({
    mutationFn: () => call('PUT', '/session/pin', { password, pin }),
    onSuccess: () => {
      setProblems({});
      setPassword('');
      setPin('');
      void queries.invalidateQueries({ queryKey: ['session'] });
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  return (
    <Form
      validationBehavior="aria"
      onSubmit={(event) => {
        event.preventDefault();
        put.mutate();
      }}
    >
      <Stack style={{ maxWidth: 420 }}>
        <h2>{t('lock.ownPin')}</h2>
        <Soft>{t('lock.ownPinHow')}</Soft>
        <Field
          label={t('lock.newPin')}
          value={pin}
          onChange={setPin}
          type="password"
          inputMode="numeric"
          autoComplete="off"
          maxLength={8}
          problem={problems.pin === undefined ? undefined : t('lock.pinWrong')}
        />
        <Field
          label={t('signIn.password')}
          value={password}
          onChange={setPassword}
          type="password"
          autoComplete="current-password"
          problem={problems.password}
        />
        {problems[''] && (
          <Notice tone="stop" live>
            {problems['']}
          </Notice>
        )}
        {put.isSuccess && (
          <Notice tone="good" live>
            {t('lock.pinChosen')}
          </Notice>
        )}
        <Row>
          <Button type="submit" isDisabled={put.isPending || pin === '' || password === ''}>
            {t('lock.choosePin')}
          </Button>
        </Row>
      </Stack>
    </Form>
  );
}
