import { useState } from 'react';
import { Nav, Navbar } from 'react-bootstrap';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { text, type MessageKey } from '../text/text';
import { AccountMenu } from './AccountMenu';
import { ErrorBoundary } from './ErrorBoundary';
import { MarksOnTheWay } from '../marks/MarksOnTheWay';
import { JobsNote } from '../jobs/JobsNote';
import { LookRoundBar } from '../school/LookRoundBar';
import { AskAgain } from '../session/AskAgain';
import { KeysHelp } from './KeysHelp';
import { useActions } from './actions';
import { Mark } from './Mark';

const PLACES: [string, MessageKey][] = [
  ['/', 'nav.groups'],
  ['/week', 'nav.week'],
  ['/children', 'nav.children'],
  ['/words', 'nav.words'],
  ['/texts', 'nav.texts'],
  ['/ladder', 'nav.ladder'],
  ['/calendar', 'nav.calendar'],
  ['/style', 'nav.style'],
];

/** The frame round every page but the board: where you are, where you can go. */
export function Shell() {
  const { pathname } = useLocation();
  const [help, setHelp] = useState(false);
  const [open, setOpen] = useState(false);
  useActions([{ keys: ['?'], label: 'keys.help', run: () => setHelp(true) }]);

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
            <AccountMenu onGo={() => setOpen(false)} onHelp={() => setHelp(true)} />
          </Nav>
        </div>
      </Navbar>
      <LookRoundBar />
      <main id="main" className="page p-4 my-0 mx-auto" tabIndex={-1}>
        <JobsNote />
        <MarksOnTheWay />
        <ErrorBoundary at={pathname}>
          <Outlet />
        </ErrorBoundary>
      </main>
      <footer className="page mx-auto pb-4 px-4 small no-print">
        <Link to="/about">{text('about.title')}</Link>
      </footer>
      <AskAgain />
      {help && <KeysHelp onHide={() => setHelp(false)} />}
    </>
  );
}
