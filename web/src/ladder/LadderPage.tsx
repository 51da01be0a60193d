import { useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { shareText, text } from '../text/text';
import { RungList } from './RungList';
import { RungPanel } from './RungPanel';

/** The school's order, rung by rung, with what each unlocks; the chosen rung's words beside it. */
export function LadderPage() {
  const { school } = useSchool();
  const [search, setSearch] = useSearchParams();
  const path = { schoolId: school.id };
  usePageTitle(text('ladder.title'));
  const ladder = useQuery({
    queryKey: ['ladder', school.id],
    queryFn: async (): Promise<Schemas['LadderView'] | null> => {
      const first = (await answered(client.GET('/api/schools/{schoolId}/ladders', { params: { path } })))[0];
      if (!first) return null;
      return answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}', { params: { path: { ...path, ladderId: first.id, version: first.latestVersion } } }),
      );
    },
  });
  if (ladder.isPending) return <Loading />;
  if (ladder.error) return <ErrorNote problem={ladder.error} retry={() => void ladder.refetch()} />;
  if (!ladder.data) return <p className="empty">{text('ladder.empty')}</p>;
  const { rungs, name } = ladder.data;
  const warned = rungs.filter((r) => r.warnings.length > 0).length;
  const chosen = rungs.findIndex((r) => r.id === search.get('rung'));
  return (
    <>
      <h1>{name}</h1>
      <p className="quiet">
        {text('ladder.summary', { rungs: rungs.length, words: rungs[rungs.length - 1]?.readable ?? 0 })} · {text('ladder.share', { share: shareText(rungs[rungs.length - 1]?.textShare ?? 0) })} ·{' '}
        {warned === 0 ? text('ladder.noWarnings') : text('ladder.allWarnings', { count: warned })}
      </p>
      <div className="ladder-page">
        <RungList rungs={rungs} groups={ladder.data.groups} chosen={chosen} onChoose={(rung) => setSearch({ rung: rung.id }, { replace: true })} />
        <aside className="panel rung-panel" aria-live="polite">
          {chosen < 0 ? (
            <p className="quiet empty">{text('ladder.choose')}</p>
          ) : (
            <RungPanel key={rungs[chosen]!.id} ladder={ladder.data} rung={rungs[chosen]!} number={chosen + 1} />
          )}
        </aside>
      </div>
    </>
  );
}
