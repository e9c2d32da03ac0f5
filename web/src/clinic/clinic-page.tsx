import { may } from '@estribo/core/access';
import { useUser } from '../api/clinic';
import { t } from '../messages';
import { Page, Soft } from '../parts/layout';
import { Audit } from './audit';
import { ClinicNumbers } from './clinic-numbers';
import { Users } from './users';

/** What is looked after for all: whom the patient calls and the clinic's own rule; who signs in, and what was done by whom. */
export default function ClinicPage() {
  const { role } = useUser();
  return (
    <Page>
      <h1>{t('clinicPage.title')}</h1>
      {may(role, 'clinic.write') && <ClinicNumbers />}
      {may(role, 'users.read') ? (
        <>
          <Users />
          <Audit />
        </>
      ) : (
        !may(role, 'clinic.write') && <Soft>{t('common.notYourRole')}</Soft>
      )}
    </Page>
  );
}
