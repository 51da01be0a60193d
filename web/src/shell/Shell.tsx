import { useState } from 'react';
import { Nav, Navbar, NavDropdown } from 'react-bootstrap';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { goSignIn } from '../session/signIn';
import { useSchoolAddress } from '../session/SchoolRouter';
import { useSchool, useSignOut } from '../session/session';
import { text, type MessageKey } from '../text/text';
import { ErrorBoundary } from './ErrorBoundary';
import { KeysHelp } from './KeysHelp';
import { useActions } from './actions';
import { Mark } from './Mark';

const PLACES: [string, MessageKey][] = [
  ['/', 'nav.groups'],
  ['/week', 'nav.week'],
  ['/words', 'nav.words'],
  ['/ladder', 'nav.ladder'],
  ['/calendar', 'nav.calendar'],
  ['/style', 'nav.style'],
];

/** The frame round every page but the board: where you are, where you can go. */
export function Shell() {
  const { session, school } = useSchool();
  const { enter } = useSchoolAddress();
  const signOut = useSignOut();
  const { pathname } = useLocation();
  const [help, setHelp] = useState(false);
  const [open, setOpen] = useState(false);
  useActions([{ keys: ['?'], label: 'keys.help', run: () => setHelp(true) }]);
  const leave = (everywhere: boolean) => signOut.mutate(everywhere, { onSuccess: () => goSignIn() });

  return (
    <>
      <a className="visually-hidden-focusable top-0 start-0 m-2 p-2 bg-white z-3 position-absolute" href="#main">
        {text('app.skip')}
      </a>
      <Navbar
        as="header"
        expand="lg"
        expanded={open}
        onToggle={setOpen}
        className="top row-gap-2 column-gap-3 px-3 px-lg-4 bg-white border-bottom"
      >
        <NavLink
          to="/"
          className="fs-5 d-flex align-items-center gap-2 fw-bold text-body text-decoration-none text-nowrap"
          onClick={() => setOpen(false)}
        >
          <Mark />
          <span>{text('app.name')}</span>
        </NavLink>
        <Navbar.Toggle label={text('nav.menu')} aria-controls="places" aria-expanded={open} />
        {/* Bootstrap's classes without its transition: what can be seen can be clicked at once. */}
        <div id="places" className={`navbar-collapse collapse${open ? ' show' : ''}`}>
          <nav
            className="places d-flex flex-column flex-lg-row flex-wrap column-gap-1 py-2 py-lg-0"
            aria-label={text('nav.main')}
          >
            {PLACES.map(([to, label]) => (
              <NavLink
                key={to}
                className="nav-link p-2 text-body text-nowrap rounded"
                to={to}
                end={to === '/'}
                onClick={() => setOpen(false)}
              >
                {text(label)}
              </NavLink>
            ))}
          </nav>
          <Nav className="ms-auto">
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
              <NavDropdown.Item as="button" onClick={() => setHelp(true)}>
                {text('nav.shortcuts')}
              </NavDropdown.Item>
              <NavDropdown.Item as={Link} to="/account" onClick={() => setOpen(false)}>
                {text('nav.account')}
              </NavDropdown.Item>
              {school.role === 'lead' && (
                <>
                  <NavDropdown.Item as={Link} to="/people" onClick={() => setOpen(false)}>
                    {text('nav.people')}
                  </NavDropdown.Item>
                  <NavDropdown.Item as={Link} to="/audit" onClick={() => setOpen(false)}>
                    {text('nav.audit')}
                  </NavDropdown.Item>
                </>
              )}
              <NavDropdown.Divider />
              <NavDropdown.Item as="button" onClick={() => leave(false)}>
                {text('nav.signOut')}
              </NavDropdown.Item>
              <NavDropdown.Item as="button" onClick={() => leave(true)}>
                {text('nav.signOutEverywhere')}
              </NavDropdown.Item>
            </NavDropdown>
          </Nav>
        </div>
      </Navbar>
      <main id="main" className="page p-4 my-0 mx-auto" tabIndex={-1}>
        <ErrorBoundary at={pathname}>
          <Outlet />
        </ErrorBoundary>
      </main>
      <footer className="page mx-auto pb-4 px-4 small no-print">
        <Link to="/about">{text('about.title')}</Link>
      </footer>
      {help && <KeysHelp onHide={() => setHelp(false)} />}
    </>
  );
}
