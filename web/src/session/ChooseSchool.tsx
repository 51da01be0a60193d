import { Button } from 'react-bootstrap';
import { useLocation } from 'react-router';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { useSchoolAddress } from './SchoolRouter';
import type { Session } from './session';

/** Which school, for someone who belongs to several, or whose link names one they don't belong to. */
export function ChooseSchool({ session, unknown }: { session: Session; unknown: boolean }) {
  const { enter } = useSchoolAddress();
  const { pathname, search } = useLocation();
  usePageTitle(text('school.choose'));
  return (
    <main className="page p-4 my-0 mx-auto">
      <h1>{text('school.choose')}</h1>
      {unknown && <p className="flag-note py-2 px-3 rounded">{text('school.unknown')}</p>}
      {session.schools.length === 0 && <p className="py-4">{text('school.none')}</p>}
      <ul className="justify-content-start list-unstyled d-grid gap-3">
        {session.schools.map((s) => (
          <li key={s.id}>
            <Button size="lg" variant="outline-primary" onClick={() => enter(s.id, unknown ? '/' : pathname + search)}>
              {s.name}
            </Button>
          </li>
        ))}
      </ul>
    </main>
  );
}
