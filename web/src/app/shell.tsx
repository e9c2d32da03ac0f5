import { languages, may, type Language } from '@estribo/core/access';
import { Contrast } from 'lucide-react';
import { NavLink, Outlet } from 'react-router';
import styled from 'styled-components';
import { useUser } from '../api/clinic';
import { language, named, t } from '../messages';
import { Pick } from '../parts/pick';
import { chooseLanguage } from '../api/session';
import { useMutation } from '@tanstack/react-query';
import { IconButton } from '../parts/button';
import { Stack } from '../parts/layout';
import { ClockOff } from '../frame/clock-off';
import { KeysHelp } from '../frame/keys-help';
import { LockButton } from '../frame/lock-button';
import { NotSecure } from '../frame/not-secure';
import { OutboxOfOthers, OutboxState, OutboxUnsent } from '../frame/outbox-state';
import { useTheme } from '../browser/preferences';
import { SignOutButton } from '../frame/sign-out-button';
import { color, narrow, size } from '../look/tokens';

const Head = styled.header`
  display: flex;
  align-items: stretch;
  flex-wrap: wrap;
  gap: 0 26px;
  padding: 0 24px;
  min-height: 64px;
  background: ${color('sheet')};
  border-bottom: 1px solid ${color('line')};
  & > b {
    font-size: ${size.lead};
    align-self: center;
  }
  & > nav {
    display: flex;
    flex-wrap: wrap;
    gap: 0 26px;
  }
  ${narrow} {
    padding: 0 12px;
    gap: 0 14px;
    & > nav {
      gap: 0 14px;
    }
  }
`;

const Tab = styled(NavLink)`
  display: flex;
  align-items: center;
  min-height: 44px;
  color: ${color('ink')};
  text-decoration: none;
  border-bottom: 3px solid transparent;
  border-top: 3px solid transparent;
  &:hover {
    border-bottom-color: ${color('line')};
  }
  &.active {
    font-weight: 700;
    border-bottom-color: ${color('saddle')};
  }
`;

const Right = styled.div`
  margin-left: auto;
  display: flex;
  align-items: center;
  gap: 4px;
  flex-wrap: wrap;
  & kbd {
    font: inherit;
    border: 1px solid ${color('line')};
    border-radius: 3px;
    padding: 0 6px;
  }
`;

const FindLink = styled(NavLink)`
  color: ${color('soft')};
  text-decoration: none;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 8px;
  margin-right: 16px;
  &:hover {
    color: ${color('ink')};
    text-decoration: underline;
  }
`;

const Own = styled(NavLink)`
  color: ${color('ink')};
  text-decoration: none;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  &:hover {
    text-decoration: underline;
  }
`;

/** Each language in itself: who does not read the one that is spoken finds it. */
const ownName: Record<Language, string> = { en: 'English', es: 'Español' };

/** The frame of every screen that is no case. */
export function Shell() {
  const user = useUser();
  const [theme, nextTheme] = useTheme();
  const choose = useMutation({ mutationFn: chooseLanguage });
  return (
    <>
      <Head>
        <b>Estribo</b>
        <nav aria-label={t('nav.label')}>
          {may(user.role, 'bench.read') && <Tab to="/bench">{t('nav.bench')}</Tab>}
          {may(user.role, 'bench.read') && <Tab to="/cases">{t('nav.cases')}</Tab>}
          {may(user.role, 'people.read') && <Tab to="/people">{t('nav.people')}</Tab>}
          {may(user.role, 'catalogue.read') && <Tab to="/catalogue">{t('nav.catalogue')}</Tab>}
          {may(user.role, 'instruments.read') && <Tab to="/clinic">{t('nav.clinic')}</Tab>}
        </nav>
        <Right>
          <OutboxState />
          {may(user.role, 'bench.read') && (
            <FindLink to="/cases?find">
              {t('nav.find')} <kbd>/</kbd>
            </FindLink>
          )}
          <Own to="/password" title={t('nav.password')}>
            {user.name}, {named('roles', user.role)}
          </Own>
          <IconButton aria-label={t('nav.theme', { theme: named('themes', theme) })} onPress={nextTheme}>
            <Contrast size={18} aria-hidden />
          </IconButton>
          <Pick
            label={t('nav.language')}
            hideLabel
            options={languages.map((value) => ({ value, label: ownName[value] }))}
            value={language}
            onChange={(chosen) => choose.mutate(chosen as Language)}
          />
          <KeysHelp />
          <LockButton />
          <SignOutButton />
        </Right>
      </Head>
      <div style={{ padding: '0 28px' }}>
        <Stack $gap={8}>
          <OutboxUnsent />
          <OutboxOfOthers />
          <NotSecure />
          <ClockOff />
        </Stack>
      </div>
      <Outlet />
    </>
  );
}
