import type { Schemas } from '../api/client';

/** The ladder that is meant when none is named: the one most groups follow. */
export function mainLadder(ladders: readonly Schemas['LadderSummary'][] | undefined) {
  return ladders?.reduce<Schemas['LadderSummary'] | undefined>(
    (best, l) => (best && best.groups >= l.groups ? best : l),
    undefined,
  );
}
