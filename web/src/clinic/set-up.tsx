import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useSession } from '../api/clinic';
import { call } from '../api/http';
import { formProblems } from '../api/say-problem';
import { queries } from '../api/queries';
import { Fill, Place, StrapPicture } from './sign-in';
import { NotSecure } from '../frame/not-secure';
import { t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Soft } from '../parts/layout';
import { Notice } from '../parts/notice';

const empty = {
  code: '',
  clinic: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  name: '',
  login: '',
  password: '',
};

/** The first administrator of a clinic that is not there yet, by the code on the server's console. */
export default function SetUp() {
  const { data } = useSession();
  const navigate = useNavigate();
  const [filled, fill] = useState(empty);
  const [problems, setProblems] = useState<Record<string, string>>({});
  const setUp = useMutation({
    mutationFn: () => call('POST', '/set-up', { ...filled, login: filled.login.trim() }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['session'] });
      await navigate('/sign-in');
    },
    onError: (error) => setProblems(formProblems(error, t('common.away'))),
  });
  if (data && !data.setUp) return <LeadTo to="/sign-in" />;
  const submit = () => {
    if (Object.values(filled).some((text) => text.trim() === '')) return setProblems({ '': t('setUp.all') });
    setUp.mutate();
  };
  const field = (name: keyof typeof empty, label: string, more: object = {}) => (
    <Field
      label={label}
      value={filled[name]}
      onChange={(text) => fill({ ...filled, [name]: text })}
      problem={problems[name]}
      {...more}
    />
  );
  return (
    <Place>
      <StrapPicture />
      <Fill
        onSubmit={(event) => {
          event.preventDefault();
          submit();
        }}
      >
        <div>
          <h1>{t('setUp.title')}</h1>
          <Soft>{t('setUp.how')}</Soft>
        </div>
        {field('code', t('setUp.code'), { autoFocus: true, autoComplete: 'off' })}
        {field('clinic', t('setUp.clinic'))}
        {field('zone', t('setUp.zone'))}
        {field('name', t('setUp.name'), { autoComplete: 'name' })}
        {field('login', t('setUp.login'), { autoComplete: 'username' })}
        {field('password', t('signIn.password'), {
          type: 'password',
          autoComplete: 'new-password',
          help: t('password.help'),
        })}
        {problems[''] && (
          <Notice tone="stop" live>
            {problems['']}
          </Notice>
        )}
        <Button look="main" type="submit" isDisabled={setUp.isPending} wide>
          {t('setUp.begin')}
        </Button>
        <NotSecure />
      </Fill>
    </Place>
  );
}
