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
import './look/mat.css';
import './look/planning.css';
import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { makeQueries } from './api/queries';
import { App } from './App';
import { SchoolRouter } from './session/SchoolRouter';
import { ErrorBoundary } from './shell/ErrorBoundary';

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <ErrorBoundary>
      <QueryClientProvider client={makeQueries()}>
        <SchoolRouter>
          <App />
        </SchoolRouter>
      </QueryClientProvider>
    </ErrorBoundary>
  </StrictMode>,
);
