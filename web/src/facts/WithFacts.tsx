import type { ReactNode } from 'react';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { FactsContext } from './facts';
import { useFactsQuery } from './queries';

/** Shows what is inside once the core's facts are there. */
export function WithFacts({ children }: { children: ReactNode }) {
  const facts = useFactsQuery();
  if (facts.isPending) return <Loading />;
  if (!facts.data) return <ErrorNote problem={facts.error!} retry={() => void facts.refetch()} />;
  return <FactsContext value={facts.data}>{children}</FactsContext>;
}
