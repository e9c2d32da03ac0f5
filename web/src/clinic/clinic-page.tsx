import { may, type Permission } from '@estribo/core/access';
import { NavLink, useParams } from 'react-router';
import styled from 'styled-components';
import { useUser } from '../api/clinic';
import { color } from '../look/tokens';
import { t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Page } from '../parts/layout';
import { Audit } from './audit';
import { ClinicName } from './clinic-name';
import { ClinicNumbers } from './clinic-numbers';
import { Instruments } from './instruments';
import { Keeping } from './keeping';
import { Users } from './users';

const Sections = styled.nav`
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  border-bottom: 1px solid ${color('line')};
  & > a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: ${color('ink')};
    text-decoration: none;
    border-bottom: 3px solid transparent;
  }
  & > a:hover {
    border-bottom-color: ${color('line')};
  }
  & > a.active {
    font-weight: 700;
    border-bottom-color: ${color('saddle')};
  }
`;

/** What is looked after for all, a page each, and who may see it. */
const sections = {
  users: { permission: 'users.read', Screen: Users },
  clinic: { permission: 'clinic.write', Screen: TheClinic },
  instruments: { permission: 'instruments.read', Screen: Instruments },
  audit: { permission: 'audit.read', Screen: Audit },
  backup: { permission: 'users.read', Screen: Keeping },
} as const satisfies Record<string, { permission: Permission; Screen: () => React.ReactNode }>;
type Section = keyof typeof sections;
const names = Object.keys(sections) as Section[];

/** What the clinic says of itself: its name, whom to call, its own rule. */
function TheClinic() {
  const { role } = useUser();
  return (
    <>
      {may(role, 'users.write') && <ClinicName />}
      <ClinicNumbers />
    </>
  );
}

export default function ClinicPage() {
  const { role } = useUser();
  const { section } = useParams();
  const own = names.filter((name) => may(role, sections[name].permission));
  const shown = own.find((name) => name === section);
  // an address that is none of this role's leads to what is
  if (!shown) return <LeadTo to={own[0] ? `/clinic/${own[0]}` : '/bench'} />;
  const { Screen } = sections[shown];
  return (
    <Page>
      <h1>{t('clinicPage.title')}</h1>
      <Sections aria-label={t('clinicPage.title')}>
        {own.map((name) => (
          <NavLink key={name} to={`/clinic/${name}`}>
            {t(`clinicPage.section.${name}`)}
          </NavLink>
        ))}
      </Sections>
      <Screen />
    </Page>
  );
}
