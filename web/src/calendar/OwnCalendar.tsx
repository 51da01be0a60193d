import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { CopyLine } from '../shell/CopyLine';
import { ErrorNote } from '../shell/ErrorNote';
import { momentText, text } from '../text/text';
import { feedsQuery } from './queries';

/** Lessons in the calendar program that one uses anyway: a secret address for each group, made and ended here. */
export function OwnCalendar() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const groups = useQuery(groupsQuery(school.id));
  const feeds = useQuery(feedsQuery(school.id));
  const [groupId, setGroupId] = useState('');
  const [startsAt, setStartsAt] = useState('');
  const params = { path: { schoolId: school.id } };
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/feeds', {
          params,
          body: { groupId: groupId || groups.data![0]!.id, startsAt: startsAt === '' ? null : `${startsAt}:00` },
        }),
      ),
    onSuccess: (made) => queries.setQueryData(feedsQuery(school.id).queryKey, made.feeds),
  });
  const end = useMutation({
    mutationFn: (feedId: string) =>
      answered(
        client.DELETE('/api/schools/{schoolId}/feeds/{feedId}', { params: { path: { ...params.path, feedId } } }),
      ),
    onSuccess: (left) => {
      make.reset();
      queries.setQueryData(feedsQuery(school.id).queryKey, left);
    },
  });
  if (!groups.data || groups.data.length === 0) return null;
  return (
    <section className="panel">
      <h2>{text('feeds.title')}</h2>
      <p className="quiet">{text('feeds.why')}</p>
      <div className="form-line d-flex flex-wrap gap-2 align-items-end mb-2">
        <Form.Group controlId="feed-group">
          <Form.Label className="mb-1">{text('feeds.group')}</Form.Label>
          <Form.Select className="w-auto" value={groupId} onChange={(e) => setGroupId(e.target.value)}>
            {groups.data.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="feed-starts">
          <Form.Label className="mb-1">{text('feeds.starts')}</Form.Label>
          <Form.Control
            type="time"
            className="w-auto"
            value={startsAt}
            onChange={(e) => setStartsAt(e.target.value)}
            aria-describedby="feed-starts-help"
          />
        </Form.Group>
        <Button variant="outline-primary" disabled={make.isPending} onClick={() => make.mutate()}>
          {text('feeds.make')}
        </Button>
      </div>
      <p id="feed-starts-help" className="quiet small">
        {text('feeds.startsHelp')}
      </p>
      {make.data && (
        <div className="mb-3" role="status">
          <p className="mb-1">{text('feeds.once')}</p>
          <CopyLine label={text('feeds.address')} value={window.location.origin + make.data.path} />
        </div>
      )}
      {(make.error ?? end.error) && <ErrorNote problem={(make.error ?? end.error)!} />}
      {feeds.data && feeds.data.length > 0 && (
        <ul className="list-unstyled m-0">
          {feeds.data.map((f) => (
            <li key={f.id} className="d-flex flex-wrap align-items-center gap-3 border-top py-2">
              <strong>{f.groupName}</strong>
              <span className="quiet">
                {f.startsAt ? text('feeds.at', { time: f.startsAt.slice(0, 5) }) : text('feeds.allDay')}
              </span>
              <span className="quiet small">{text('feeds.made', { date: momentText(f.madeAt) })}</span>
              <Button
                className="ms-auto"
                size="sm"
                variant="outline-secondary"
                disabled={end.isPending}
                aria-label={text('feeds.endOf', { group: f.groupName })}
                onClick={() => end.mutate(f.id)}
              >
                {text('feeds.end')}
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
