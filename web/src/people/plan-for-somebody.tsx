import type { Person } from '@estribo/core/answers';
import { may } from '@estribo/core/access';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useUser } from '../api/clinic';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Dialog } from '../parts/dialog';
import { Row } from '../parts/layout';
import { VisitDialog } from '../visits/visit-dialog';
import { FindPerson } from './find-person';
import { fullName } from './person-words';

/** A visit on a day for whoever is found: the person first, then the visit. */
export function PlanForSomebody({ day, onClose }: { day: string; onClose: () => void }) {
  const user = useUser();
  const navigate = useNavigate();
  const [person, setPerson] = useState<Person>();
  if (person) return <VisitDialog who={fullName(person)} person={person.id} to={day} onClose={onClose} />;
  return (
    <Dialog title={t('visits.plan')} onClose={onClose}>
      <FindPerson label={t('cases.findPerson')} onChosen={setPerson} />
      <Row>
        {may(user.role, 'people.write') && (
          <Button onPress={() => void navigate('/people?add')}>{t('cases.newPerson')}</Button>
        )}
        <Button look="quiet" onPress={onClose}>
          {t('common.cancel')}
        </Button>
      </Row>
    </Dialog>
  );
}
