import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { shown } from '../words/spelling';
import { labelText, text, textOf } from '../text/text';
import { startsQuery } from './queries';

/** The three shipped orders side by side, with what their first months bring. */
export function ChooseLadderPage() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const go = useNavigate();
  const starts = useQuery(startsQuery(school.id));
  usePageTitle(text('choose.title'));
  const make = useMutation({
    mutationFn: (from: string) =>
      answered(
        client.POST('/api/schools/{schoolId}/ladders', {
          params: { path: { schoolId: school.id } },
          body: {
            id: crypto.randomUUID(),
            name: from === 'blank' ? text('choose.ours') : textOf('approach', from),
            from,
          },
        }),
      ),
    onSuccess: async () => {
      await nowStale(queries, school.id, 'ladders');
      void go('/ladder');
    },
  });
  if (starts.isPending) return <Loading />;
  if (starts.error) return <ErrorNote problem={starts.error} retry={() => void starts.refetch()} />;
  return (
    <>
      <h1>{text('choose.title')}</h1>
      <p className="quiet">{text('choose.intro')}</p>
      {make.error && <ErrorNote problem={make.error} />}
      <ul className="list-unstyled row row-cols-1 row-cols-lg-3 g-3">
        {starts.data.map((s) => (
          <li key={s.id} className="col">
            <Start start={s} busy={make.isPending} onTake={() => make.mutate(s.id)} />
          </li>
        ))}
      </ul>
      <section className="panel d-flex flex-wrap align-items-center gap-3">
        <span className="flex-grow-1">{text('choose.other')}</span>
        <Link className="btn btn-outline-primary" to="/ladder/paste">
          {text('choose.paste')}
        </Link>
        <Button variant="outline-primary" disabled={make.isPending} onClick={() => make.mutate('blank')}>
          {text('choose.blank')}
        </Button>
      </section>
    </>
  );
}

function Start({ start, busy, onTake }: { start: Schemas['StartView']; busy: boolean; onTake: () => void }) {
  return (
    <article className="panel h-100 d-flex flex-column" data-start={start.id}>
      <h2 className="fs-4">{textOf('approach', start.id)}</h2>
      <p className="quiet choose-why">{textOf('approachHelp', start.id)}</p>
      {start.months.map((m, i) => (
        <section key={i} className="border-top pt-2 mb-2">
          <h3 className="fs-6 mb-1">{text('choose.month', { month: i + 1 })}</h3>
          <p className="literacy fs-5 mb-1 d-flex flex-wrap column-gap-3">
            {m.rungs.map((r, at) => (
              <span key={at}>{labelText(r)}</span>
            ))}
          </p>
          {m.tricky.length > 0 && (
            <p className="small mb-1">
              <span className="quiet">{text('choose.tricky')}</span> {m.tricky.map(shown).join(', ')}
            </p>
          )}
          <p className="small mb-0">
            <span className="quiet">{text('choose.words', { count: m.words })}</span> {m.examples.join(', ')}
          </p>
        </section>
      ))}
      <p className="quiet small">{text('choose.rungs', { count: start.rungs })}</p>
      <Button className="mt-auto align-self-start" disabled={busy} onClick={onTake}>
        {text('choose.take', { name: textOf('approach', start.id) })}
      </Button>
    </article>
  );
}
