import { say } from '@bright-sprout/words/app';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, Navigate, NavLink, Outlet, Route, Routes } from 'react-router';
import { AccountMenu, SignInPage } from '../accounts/index.ts';
import { ApiFailure, sessionQuery } from '../shared/api/index.ts';
import { MakerProvider, ownerTeacher, useOutboxOf, WaitingNote } from '../shared/outbox/index.ts';
import { FailureNote, Logo, StageBoundary } from '../shared/ui/index.ts';
import { ShortcutHelp } from './shortcut-help.tsx';
import {
  loadClasses,
  loadCompare,
  loadExperiments,
  loadFrame,
  loadInventory,
  loadJournal,
  loadPapers,
  loadPhotos,
  loadPlan,
  loadPrint,
  loadRecord,
  loadRemote,
  loadShow,
  loadSow,
  loadTeach,
  useFetchedAhead,
} from './stages.ts';

const ComparePrint = lazy(() => import('../comparison/compare-print.tsx'));

const AccountPage = lazy(() => import('../accounts/account-page.tsx'));

const InvitedPage = lazy(() => import('../sharing/invited-page.tsx'));

const ExperimentsPage = lazy(loadExperiments);
const PrintPage = lazy(loadPrint);
const ClassesPage = lazy(loadClasses);
const InventoryPage = lazy(loadInventory);
const ExperimentFrame = lazy(loadFrame);
const PlanStage = lazy(loadPlan);
const SowStage = lazy(loadSow);
const RecordStage = lazy(loadRecord);
const CompareStage = lazy(loadCompare);
const TeachStage = lazy(loadTeach);
const ShowPage = lazy(loadShow);
const RemotePage = lazy(loadRemote);
const PapersPage = lazy(loadPapers);
const JournalPage = lazy(loadJournal);
const PhotosPage = lazy(loadPhotos);

/** What is opened from the list of experiments. */
const OPENED_NEXT = [loadFrame, loadPlan, loadSow, loadRecord] as const;

const StudentApp = lazy(() => import('../student/student-app.tsx'));

/** The whole interface: the students' side under /join, everything else the teacher's. */
export function App() {
  return (
    <Routes>
      <Route
        path="join/*"
        element={
          <StageBoundary home="/join">
            <Suspense fallback={null}>
              <StudentApp />
            </Suspense>
          </StageBoundary>
        }
      />
      <Route
        path="*"
        element={
          <StageBoundary home="/">
            <TeacherApp />
          </StageBoundary>
        }
      />
    </Routes>
  );
}

/** The sign-in, or the experiments. */
function TeacherApp() {
  const session = useQuery(sessionQuery);
  useFetchedAhead(session.data && OPENED_NEXT);
  useOutboxOf(session.data && ownerTeacher(session.data.id));
  if (session.isPending) return <p className="visually-hidden">{say('opening')}</p>;
  if (!session.data) {
    const isSignedOut = session.error instanceof ApiFailure && session.error.body.code === 'not_signed_in';
    if (isSignedOut) return <SignInPage />;
    return (
      <main className="trouble">
        <FailureNote error={session.error} />
        <button type="button" className="btn btn-primary" onClick={() => void session.refetch()}>
          {say('tryAgain')}
        </button>
      </main>
    );
  }
  const { id, displayName } = session.data;
  return (
    <MakerProvider value={{ owner: ownerTeacher(id), studentId: null, displayName }}>
      <Suspense fallback={null}>
        <Routes>
          <Route
            element={
              <>
                <header className="page-head">
                  <Link to="/" className="brand">
                    <Logo size={38} /> {say('brightSprout')}
                  </Link>
                  <nav className="places" aria-label={say('places')}>
                    <NavLink to="/" end>
                      {say('shelf')}
                    </NavLink>
                    <NavLink to="/classes">{say('classes')}</NavLink>
                    <NavLink to="/inventory">{say('seedDrawer')}</NavLink>
                  </nav>
                  <AccountMenu teacher={session.data} />
                </header>
                <StageBoundary home="/">
                  <Outlet />
                </StageBoundary>
              </>
            }
          >
            <Route index element={<ExperimentsPage />} />
            <Route path="classes" element={<ClassesPage />} />
            <Route path="account" element={<AccountPage />} />
            <Route path="invited/:code?" element={<InvitedPage />} />
            <Route path="inventory" element={<InventoryPage />} />
            <Route path="*" element={<NotHere />} />
          </Route>
          <Route path="experiments/:experimentId" element={<ExperimentFrame />}>
            <Route index element={<Navigate to="plan" replace />} />
            <Route path="plan" element={<PlanStage />} />
            <Route path="sow" element={<SowStage />} />
            <Route path="record" element={<RecordStage />} />
            <Route path="compare" element={<CompareStage />} />
            <Route path="compare/print" element={<ComparePrint />} />
            <Route path="print" element={<PrintPage />} />
            <Route path="teach" element={<TeachStage />} />
            <Route path="lesson/show" element={<ShowPage />} />
            <Route path="lesson/remote" element={<RemotePage />} />
            <Route path="lesson/papers" element={<PapersPage />} />
            <Route path="lesson/journal" element={<JournalPage />} />
            <Route path="pictures" element={<PhotosPage />} />
          </Route>
        </Routes>
      </Suspense>
      <ShortcutHelp />
      <WaitingNote />
    </MakerProvider>
  );
}

function NotHere() {
  return (
    <main className="trouble">
      <h1>{say('thereIsNothingAtThisAddress')}</h1>
      <Link className="btn btn-primary" to="/">
        {say('toTheShelf')}
      </Link>
    </main>
  );
}
