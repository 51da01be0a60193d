import { NavDropdown } from 'react-bootstrap';
import { Link } from 'react-router';
import { useLock } from '../session/QuietLock';
import { goSignIn } from '../session/signIn';
import { useSchoolAddress } from '../session/SchoolRouter';
import { useSchool, useSignOut } from '../session/session';
import { text } from '../text/text';

/**
 * Who is at work, and where: the account, the school's people, signing out. By itself, so that nothing round it asks
 * anything more once who is signed in has left.
 */
export function AccountMenu({ onGo, onHelp }: { onGo: () => void; onHelp: () => void }) {
  const { session, school } = useSchool();
  const { enter } = useSchoolAddress();
  const signOut = useSignOut();
  const lock = useLock();
  const leave = (everywhere: boolean) => signOut.mutate(everywhere, { onSuccess: () => goSignIn() });
  return (
    <NavDropdown
      align="end"
      title={
        <span className="who text-start text-lg-end lh-sm small">
          <strong className="d-block text-truncate">{school.name}</strong>
          <span className="d-block text-truncate">{session.name}</span>
        </span>
      }
    >
      {session.schools.length > 1 &&
        session.schools
          .filter((s) => s.id !== school.id)
          .map((s) => (
            <NavDropdown.Item key={s.id} as="button" onClick={() => enter(s.id, '/')}>
              {text('school.change')}: {s.name}
            </NavDropdown.Item>
          ))}
      <NavDropdown.Item as="button" onClick={onHelp}>
        {text('nav.shortcuts')}
      </NavDropdown.Item>
      <NavDropdown.Item as={Link} to="/account" onClick={() => onGo()}>
        {text('nav.account')}
      </NavDropdown.Item>
      {school.role === 'lead' && (
        <>
          <NavDropdown.Item as={Link} to="/people" onClick={() => onGo()}>
            {text('nav.people')}
          </NavDropdown.Item>
          <NavDropdown.Item as={Link} to="/school" onClick={() => onGo()}>
            {text('nav.school')}
          </NavDropdown.Item>
          <NavDropdown.Item as={Link} to="/audit" onClick={() => onGo()}>
            {text('nav.audit')}
          </NavDropdown.Item>
        </>
      )}
      <NavDropdown.Divider />
      <NavDropdown.Item as="button" onClick={() => lock()}>
        {text('nav.lock')}
      </NavDropdown.Item>
      <NavDropdown.Item as="button" onClick={() => leave(false)}>
        {text('nav.signOut')}
      </NavDropdown.Item>
      <NavDropdown.Item as="button" onClick={() => leave(true)}>
        {text('nav.signOutEverywhere')}
      </NavDropdown.Item>
    </NavDropdown>
  );
}
