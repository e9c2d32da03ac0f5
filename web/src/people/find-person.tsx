import type { Person } from '@estribo/core/answers';
import { useDeferredValue, useState } from 'react';
import styled from 'styled-components';
import { usePeople } from '../api/people';
import { color } from '../look/tokens';
import { t } from '../messages';
import { Button } from '../parts/button';
import { Field } from '../parts/field';
import { Small, Soft, Stack } from '../parts/layout';
import { Loading } from '../parts/loading';
import { fullName, toldApart } from './person-words';

const Found = styled.ul`
  max-height: 264px;
  overflow: auto;
  border: 1px solid ${color('line')};
  border-radius: 4px;
  & > li {
    border-bottom: 1px solid ${color('line')};
  }
  & > li:last-child {
    border-bottom: 0;
  }
`;

/** Somebody who is here already, found by any word of a name, number or day of birth. */
export function FindPerson({
  label,
  but,
  nameOf = fullName,
  onChosen,
}: {
  label: string;
  /** who is not offered */
  but?: string;
  /** what stands on the button of one */
  nameOf?: (person: Person) => string;
  onChosen: (person: Person) => void;
}) {
  const [find, setFind] = useState('');
  const wanted = useDeferredValue(find.trim());
  const people = usePeople(wanted);
  const found = people.data?.pages.flatMap((page) => page.people).filter(({ id }) => id !== but);
  return (
    <Stack $gap={10}>
      <Field label={label} value={find} onChange={setFind} type="search" autoFocus maxLength={80} />
      {found && found.length > 0 && (
        <Found aria-label={t('cases.people')} tabIndex={0}>
          {found.map((one) => (
            <li key={one.id}>
              <Button look="quiet" onPress={() => onChosen(one)}>
                {nameOf(one)} <Small>{toldApart(one)}</Small>
              </Button>
            </li>
          ))}
        </Found>
      )}
      {people.hasNextPage && <Soft>{t('cases.morePeople')}</Soft>}
      {found?.length === 0 && <Soft role="status">{t('peoplePage.noneFound', { find: wanted })}</Soft>}
      {people.isError && <Loading away />}
    </Stack>
  );
}
