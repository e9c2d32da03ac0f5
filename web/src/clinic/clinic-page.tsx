import { may } from '@estribo/core/access';
import { useUser } from '../api/clinic';
import { t } from '../messages';
import { Page, Soft } from '../parts/layout';
import { Audit } from './audit';
import { Users } from './users';

/** What the administrator looks after: who signs in, and what was done by whom. */
export default function ClinicPage() {
  const { role } = useUser();
  return (
    <Page>
      <h1>{t('clinicPage.title')}</h1>
      {may(role, 'users.read') ? (
        <>
          <Users />
          <Audit />
        </>
      ) : (
        <Soft>{t('common.notYourRole')}</Soft>
      )}
    </Page>
  );
}
