import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { Outlet, useLocation } from 'react-router';
import { WithFacts } from '../facts/WithFacts';
import { ErrorBoundary } from '../shell/ErrorBoundary';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { applyPaper, applyStyle } from '../style/applyStyle';
import { styleQuery } from '../style/queries';
import { setLanguage } from '../text/text';
import { ChooseSchool } from './ChooseSchool';
import { useSessionEnded } from './ended';
import { LockCover } from './LockCover';
import { useLocked } from './locked';
import { useSchoolAddress } from './SchoolRouter';
import { SchoolContext, useSession, type Session } from './session';
import { goSignIn } from './signIn';
import { SignInAgain } from './SignInAgain';

/**
 * Shows what is inside to someone who is signed in; sends others to sign in and brings them back. A session that ends
 * later covers the page and loses nothing of it.
 */
export function RequireSession() {
  const session = useSession();
  const ended = useSessionEnded();
  const locked = useLocked();
  const [last, setLast] = useState<Session | null>(null);
  if (session.data && session.data !== last) setLast(session.data);
  const known = session.data ?? last;
  if (session.isPending) return <Loading />;
  if (!known && session.error) return <ErrorNote problem={session.error} retry={() => void session.refetch()} />;
  if (!known) return <GoSignIn />;
  return (
    <>
      <InSchool session={known} />
      {locked ? <LockCover /> : (ended || session.data === null) && <SignInAgain before={known} />}
    </>
  );
}

/** The school that the address names; the only one, where it names none. */
function InSchool({ session }: { session: Session }) {
  const { schoolId, enter } = useSchoolAddress();
  const { pathname, search } = useLocation();
  const school = session.schools.find((s) => s.id === schoolId);
  const only = schoolId === null && session.schools.length === 1 ? session.schools[0] : undefined;
  useEffect(() => {
    if (only) enter(only.id, pathname + search);
  }, [only, enter, pathname, search]);
  if (only) return <Loading />;
  if (!school) return <ChooseSchool session={session} unknown={schoolId !== null} />;
  return (
    <Styled schoolId={school.id} language={school.language} paper={school.paperSize}>
      <SchoolContext value={{ session, school }}>
        <WithFacts>
          <ErrorBoundary at={pathname}>
            <Outlet />
          </ErrorBoundary>
        </WithFacts>
      </SchoolContext>
    </Styled>
  );
}

interface StyledProps {
  schoolId: string;
  language: string;
  paper: string;
  children: ReactNode;
}

function Styled({ schoolId, language, paper, children }: StyledProps) {
  const style = useQuery(styleQuery(schoolId));
  if (style.isPending) return <Loading />;
  if (!style.data) return <ErrorNote problem={style.error!} retry={() => void style.refetch()} />;
  setLanguage(language);
  applyStyle(style.data);
  applyPaper(paper);
  return children;
}

/** The sign-in page is a document of its own. */
function GoSignIn() {
  useEffect(() => goSignIn(window.location.pathname + window.location.search), []);
  return <Loading />;
}
