import { QueryClientProvider } from '@tanstack/react-query';
import { Fragment, lazy, Suspense, useEffect, useState } from 'react';
import { I18nProvider, RouterProvider as AriaRouter } from 'react-aria-components';
import { BrowserRouter, Link, Outlet, Route, Routes, useNavigate } from 'react-router';
import { may } from '@estribo/core/access';
import { outbox, useSession, useUser } from '../api/clinic';
import { queries } from '../api/queries';
import { lock } from '../api/session';
import { useIdle } from '../browser/use-idle';
import { LockScreen } from '../clinic/lock-screen';
import { language, locale, t } from '../messages';
import { LeadTo } from '../parts/lead-to';
import { Page } from '../parts/layout';
import { Loading } from '../parts/loading';
import { Notice } from '../parts/notice';
import { Bench } from '../bench/bench';
import { GlobalStyle } from '../look/global-style';
import { Net } from '../frame/net';
import { Shell } from './shell';
import { SignIn } from '../clinic/sign-in';
import { fetchVisitForm } from '../visits/visit-dialog';

const Cases = lazy(() => import('../cases/cases'));
const PeoplePage = lazy(() => import('../people/people-page'));
const loadPersonPage = () => import('../people/person-page');
const PersonPage = lazy(loadPersonPage);
const loadNewCase = () => import('../cases/new-case');
const NewCase = lazy(loadNewCase);
const Catalogue = lazy(() => import('../catalogue/catalogue'));
const ModelPage = lazy(() => import('../catalogue/model-page'));
const FamilyPage = lazy(() => import('../catalogue/family-page'));
const SetUp = lazy(() => import('../clinic/set-up'));
const OwnPassword = lazy(() => import('../clinic/own-password'));
const ClinicPage = lazy(() => import('../clinic/clinic-page'));
const OrderSheetPage = lazy(() => import('../case-page/order-sheet-page'));
const TemplatePage = lazy(() => import('../shaping/template-page'));
const PatientSheetPage = lazy(() => import('../wearing/patient-sheet-page'));
const LetterPage = lazy(() => import('../wearing/letter-page'));
const loadCaseFrame = () => import('../case-page/case-frame');
const CaseFrame = lazy(loadCaseFrame);

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <GlobalStyle />
      <BrowserRouter>
        <Screens />
      </BrowserRouter>
    </QueryClientProvider>
  );
}

function Screens() {
  const navigate = useNavigate();
  return (
    <AriaRouter navigate={(path) => void navigate(path)}>
      <Suspense fallback={<Loading away={false} />}>
        <Routes>
          <Route path="/sign-in" element={<SignIn />} />
          <Route path="/set-up" element={<SetUp />} />
          <Route element={<SignedIn />}>
            <Route element={<Shell />}>
              <Route path="/bench" element={<Bench />} />
              <Route path="/cases" element={<Cases />} />
              <Route path="/cases/new" element={<NewCase />} />
              <Route path="/people" element={<PeoplePage />} />
              <Route path="/people/:personId" element={<PersonPage />} />
              <Route path="/password" element={<OwnPassword />} />
              <Route path="/clinic/:section?" element={<ClinicPage />} />
              <Route path="/catalogue" element={<Catalogue />} />
              <Route path="/catalogue/families/:hash" element={<FamilyPage />} />
              <Route path="/catalogue/:modelId" element={<ModelPage />} />
            </Route>
            <Route element={<WhoReadsRecords />}>
              <Route path="/cases/:caseId/sheet" element={<OrderSheetPage />} />
              <Route path="/cases/:caseId/bend-template/:part" element={<TemplatePage />} />
              <Route path="/cases/:caseId/patient-sheet" element={<PatientSheetPage />} />
              <Route path="/cases/:caseId/letter" element={<LetterPage />} />
              <Route path="/cases/:caseId/:stage?" element={<CaseFrame />} />
            </Route>
          </Route>
          <Route path="*" element={<LeadTo to="/bench" />} />
        </Routes>
      </Suspense>
    </AriaRouter>
  );
}

/** A machine that nobody touches for so long locks itself. */
const idleMinutes = 10;

/** What is behind the sign-in; the outbox works while somebody is signed in. */
function SignedIn() {
  const { data, isPending, error } = useSession();
  const user = data?.user?.id;
  useEffect(() => (user ? outbox.start(user) : undefined), [user]);
  useEffect(() => {
    // fetched while the Bench is looked at, for when the server is away
    const timer = setTimeout(() => {
      loadCaseFrame().then(
        ({ preloadStages }) => preloadStages(),
        () => {},
      );
      // one touch from every case, and from every day of the Bench
      loadPersonPage().catch(() => {});
      loadNewCase().catch(() => {});
      fetchVisitForm();
    }, 1000);
    return () => clearTimeout(timer);
  }, []);
  const locked = data?.locked === true;
  useIdle(idleMinutes, () => {
    if (user && !locked) lock();
  });
  if (data?.user)
    return (
      // another person's screen begins anew, and one in another language: nothing of the one before is left
      <Fragment key={`${data.user.id} ${language}`}>
        <I18nProvider locale={locale}>
          {locked && <LockScreen />}
          <BehindTheLock locked={locked}>
            <Net>
              <Outlet />
            </Net>
          </BehindTheLock>
        </I18nProvider>
      </Fragment>
    );
  if (isPending) return <Loading away={false} />;
  if (error) return <Loading away />;
  return <LeadTo to="/sign-in" />;
}

/** What is under a lock stays as it was, out of sight and out of reach; a page that begins locked shows nothing. */
function BehindTheLock({ locked, children }: { locked: boolean; children: React.ReactNode }) {
  const [begun, begin] = useState(!locked);
  if (!locked && !begun) begin(true);
  if (!begun) return null;
  return (
    <div hidden={locked} inert={locked}>
      {children}
    </div>
  );
}

/** A case and its sheets, for those who may read records; to the others it is said where to go. */
function WhoReadsRecords() {
  const { role } = useUser();
  if (may(role, 'record.read')) return <Outlet />;
  return (
    <Page>
      <Notice tone="caution">{t('case.unread')}</Notice>
      <Link to="/bench">{t('nav.bench')}</Link>
    </Page>
  );
}
