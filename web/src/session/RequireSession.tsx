import { Navigate, Outlet, useLocation } from 'react-router';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { applyStyle, useStyle } from '../style/useStyle';
import { setLanguage } from '../text/text';
import { SchoolContext, useSession } from './session';

/** Shows what is inside to someone who is signed in; sends others to sign in and brings them back. */
export function RequireSession() {
  const session = useSession();
  const location = useLocation();
  const style = useStyle(session.data?.schools[0]?.id);
  if (session.isPending) return <Loading />;
  if (session.error) return <ErrorNote problem={session.error} retry={() => void session.refetch()} />;
  const school = session.data?.schools[0];
  if (!school) return <Navigate to="/sign-in" state={{ from: location.pathname }} replace />;
  if (style.isPending) return <Loading />;
  if (style.error) return <ErrorNote problem={style.error} retry={() => void style.refetch()} />;
  setLanguage(school.language);
  applyStyle(style.data);
  return (
    <SchoolContext value={{ session: session.data!, school }}>
      <Outlet />
    </SchoolContext>
  );
}
