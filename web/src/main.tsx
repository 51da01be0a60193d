import '@fontsource/andika/latin-400.css';
import '@fontsource/andika/latin-700.css';
import '@fontsource/andika/latin-ext-400.css';
import '@fontsource/atkinson-hyperlegible/400.css';
import '@fontsource/atkinson-hyperlegible/700.css';
import 'bootstrap/dist/css/bootstrap.min.css';
import './look/tokens.css';
import './look/shell.css';
import './look/words.css';
import './look/lesson.css';
import './look/ladder.css';
import './look/board.css';
import './look/settings.css';
import './look/print.css';
import './look/paper.css';
import './look/mat.css';
import './look/texts.css';
import './look/marks.css';
import './look/planning.css';
import { boardAt } from './board/address';
import { StrictMode, type ComponentType } from 'react';
import { createRoot } from 'react-dom/client';

/** The door and the board are fetched alone: who signs in, or loads a board again, waits for nothing of the rest. */
function page(): Promise<ComponentType> {
  if (window.location.pathname === '/sign-in') return import('./session/SignInPage').then((m) => m.SignInPage);
  if (window.location.pathname === '/remote') return import('./board/remote/RemotePage').then((m) => m.RemotePage);
  if (boardAt(window.location.pathname)) return import('./board/BoardRoot').then((m) => m.BoardRoot);
  return import('./root').then((m) => m.Root);
}

void page().then((Page) =>
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <Page />
    </StrictMode>,
  ),
);
