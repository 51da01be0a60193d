import { createContext, useContext } from 'react';
import type { Schemas } from '../api/client';

export type Facts = Schemas['FactsView'];
export type ActivityFacts = Schemas['ActivityView'];

/** What the core knows of activities, items, lengths and patterns: no screen keeps a copy. */
export const FactsContext = createContext<Facts | null>(null);

/** The facts; only inside WithFacts. */
export function useFacts(): Facts {
  const facts = useContext(FactsContext);
  if (!facts) throw new Error('No facts here.');
  return facts;
}

export function activityFacts(facts: Facts, kind: ActivityFacts['kind']): ActivityFacts {
  const found = facts.activities.find((a) => a.kind === kind);
  if (!found) throw new Error(`The server does not say what ${kind} is.`);
  return found;
}

export function itemFacts(facts: Facts, type: string): Schemas['ItemFacts'] {
  const found = facts.items.find((i) => i.item === type);
  if (!found) throw new Error(`The server does not say what a ${type} is.`);
  return found;
}
