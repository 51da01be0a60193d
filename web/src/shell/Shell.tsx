import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, NavLink, Outlet, useNavigate } from 'react-router';
import { useSchool, useSignOut } from '../session/session';
import { text } from '../text/text';
import { KeysHelp } from './KeysHelp';
import { useKeys } from './keys';
import { Mark } from './Mark';

/** The frame round every page but the board: where you are, where you can go. */
export function Shell() {
  const { session, school } = useSchool();
  const signOut = useSignOut();
  const navigate = useNavigate();
  const [help, setHelp] = useState(false);
  useKeys({ '?': () => setHelp(true) });

  return (
    <>
      <a className="skip" href="#main">
        {text('app.skip')}
      </a>
      <header className="top">
        <NavLink to="/" className="brand">
          <Mark />
          <span>{text('app.name')}</span>
        </NavLink>
        <nav aria-label={text('nav.main')}>
          <NavLink to="/" end>
            {text('nav.groups')}
          </NavLink>
          <NavLink to="/week">{text('nav.week')}</NavLink>
          <NavLink to="/words">{text('nav.words')}</NavLink>
          <NavLink to="/ladder">{text('nav.ladder')}</NavLink>
          <NavLink to="/calendar">{text('nav.calendar')}</NavLink>
          <NavLink to="/style">{text('nav.style')}</NavLink>
        </nav>
        <p className="who">
          <strong>{school.name}</strong>
          <span>{session.name}</span>
        </p>
        <Button variant="link" size="sm" onClick={() => setHelp(true)}>
          {text('nav.shortcuts')}
        </Button>
        <Button variant="outline-secondary" size="sm" onClick={() => signOut.mutate(undefined, { onSuccess: () => void navigate('/sign-in') })}>
          {text('nav.signOut')}
        </Button>
      </header>
      <main id="main" className="page" tabIndex={-1}>
        <Outlet />
      </main>
      <footer className="foot no-print">
        <Link to="/about">{text('about.title')}</Link>
      </footer>
      <KeysHelp show={help} onHide={() => setHelp(false)} />
    </>
  );
}
