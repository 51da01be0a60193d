import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useNavigate } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { PeopleChoice } from './PeopleChoice';
import { groupsQuery } from './queries';

type YearGroup = Schemas['YearGroup'];

/** The turn of the year: which groups go on, under which name, with whom; which end. Leads only. */
export function NewYearPage() {
  const { school } = useSchool();
  const groups = useQuery(groupsQuery(school.id));
  usePageTitle(text('year.title'));
  if (groups.isPending) return <Loading />;
  if (groups.error) return <ErrorNote problem={groups.error} retry={() => void groups.refetch()} />;
  return <YearForm groups={groups.data} />;
}

function YearForm({ groups }: { groups: readonly Schemas['GroupView'][] }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [year, setYear] = useState<YearGroup[]>(() =>
    groups.map((g) => ({
      id: g.id,
      name: g.name,
      goesOn: true,
      people: g.takers.map((t) => ({ id: t.id, weekdays: t.weekdays })),
      childrenTo: null,
    })),
  );
  const set = (id: string, change: Partial<YearGroup>) =>
    setYear(year.map((g) => (g.id === id ? { ...g, ...change } : g)));
  const begin = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/new-year', {
          params: { path: { schoolId: school.id } },
          body: { groups: year },
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'groups');
      void navigate('/');
    },
  });
  const before = (id: string) => groups.find((g) => g.id === id)!.name;
  return (
    <Form
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <h1>{text('year.title')}</h1>
      <p className="quiet">
        {text('year.intro')} <Link to="/calendar">{text('year.calendar')}</Link>
      </p>
      {year.map((g) => (
        <section key={g.id} className="panel mb-3" aria-label={before(g.id)}>
          <div className="d-flex flex-wrap align-items-baseline column-gap-4 mb-2">
            <h2 className="fs-5 m-0">{before(g.id)}</h2>
            {([true, false] as const).map((goesOn) => (
              <Form.Check
                key={`${goesOn}`}
                type="radio"
                id={`year-${g.id}-${goesOn}`}
                name={`year-${g.id}`}
                label={text(goesOn ? 'year.goesOn' : 'year.ends')}
                checked={g.goesOn === goesOn}
                onChange={() => set(g.id, { goesOn })}
              />
            ))}
          </div>
          {g.goesOn ? (
            <div className="row">
              <Form.Group controlId={`year-name-${g.id}`} className="col-md-5 mb-3">
                <Form.Label>{text('year.name')}</Form.Label>
                <Form.Control
                  required
                  maxLength={80}
                  value={g.name}
                  onChange={(e) => set(g.id, { name: e.target.value })}
                />
              </Form.Group>
              <div className="col-md-7">
                <PeopleChoice id={g.id} chosen={g.people} onChange={(people) => set(g.id, { people })} />
              </div>
            </div>
          ) : (
            <Form.Group controlId={`year-to-${g.id}`}>
              <Form.Label>{text('year.childrenTo')}</Form.Label>
              <Form.Select
                className="w-auto"
                value={g.childrenTo ?? ''}
                onChange={(e) => set(g.id, { childrenTo: e.target.value || null })}
              >
                <option value="">{text('year.nowhere')}</option>
                {year
                  .filter((other) => other.goesOn)
                  .map((other) => (
                    <option key={other.id} value={other.id}>
                      {other.name}
                    </option>
                  ))}
              </Form.Select>
            </Form.Group>
          )}
        </section>
      ))}
      <Button type="submit" size="lg" disabled={begin.isPending || groups.length === 0}>
        {text('year.begin')}
      </Button>
      {begin.error && <ErrorNote problem={begin.error} />}
    </Form>
  );
}
