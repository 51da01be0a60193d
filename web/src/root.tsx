import { QueryClientProvider } from '@tanstack/react-query';
import './text/all';
import { makeQueries } from './api/queries';
import { App } from './App';
import { SchoolRouter } from './session/SchoolRouter';
import { ErrorBoundary } from './shell/ErrorBoundary';
import { keepOffline } from './shell/offline';

keepOffline();

/** Everything behind the door. */
export function Root() {
  return (
    <ErrorBoundary>
      <QueryClientProvider client={makeQueries()}>
        <SchoolRouter>
          <App />
        </SchoolRouter>
      </QueryClientProvider>
    </ErrorBoundary>
  );
}
