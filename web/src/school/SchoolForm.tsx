import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { sessionQuery } from '../session/queries';
import { useSchool } from '../session/session';
import { SaveProblem } from '../shell/SaveProblem';
import { text, textOf } from '../text/text';
import { schoolQuery } from './queries';
import { LANGUAGES, PAPERS, zoneText, ZONES } from './zones';

type Settings = Schemas['SchoolRequest'];

/** Name, zone, language and paper of the school. */
export function SchoolForm({ view }: { view: Schemas['SchoolView'] }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [typed, setTyped] = useState(view.settings);
  const [stamp, setStamp] = useState(view.stamp);
  const save = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/settings', {
          params: { path: { schoolId: school.id }, header: { 'If-Match': stamp } },
          body: typed,
        }),
      ),
    onSuccess: (saved) => {
      setTyped(saved.settings);
      setStamp(saved.stamp);
      queries.setQueryData(schoolQuery(school.id).queryKey, saved);
      void queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
      void nowStale(queries, school.id, 'settings');
    },
  });
  const set = (change: Partial<Settings>) => {
    save.reset();
    setTyped({ ...typed, ...change });
  };
  const choice = (
    field: 'timeZone' | 'language' | 'spelling' | 'paperSize',
    label: string,
    of: readonly string[],
    name: (v: string) => string,
  ) => (
    <Form.Group controlId={`school-${field}`} className="col-md-6 mb-3">
      <Form.Label>{label}</Form.Label>
      <Form.Select value={typed[field]} onChange={(e) => set({ [field]: e.target.value })}>
        {[...new Set([...of, typed[field]])].map((v) => (
          <option key={v} value={v}>
            {name(v)}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  return (
    <Form
      className="panel mb-4"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <Form.Group controlId="school-name" className="mb-3">
        <Form.Label>{text('settings.name')}</Form.Label>
        <Form.Control required maxLength={80} value={typed.name} onChange={(e) => set({ name: e.target.value })} />
      </Form.Group>
      <div className="row">
        {choice('timeZone', text('settings.zone'), ZONES, zoneText)}
        {choice('language', text('settings.language'), LANGUAGES, (v) => textOf('welcome.language', v))}
        {choice('spelling', text('settings.spelling'), LANGUAGES, (v) => textOf('settings.spelling', v))}
        {choice('paperSize', text('settings.paper'), PAPERS, (v) => v)}
      </div>
      <p className="quiet">
        <Link to="/style">{text('settings.accentWhy')}</Link>
      </p>
      <Button type="submit" disabled={save.isPending}>
        {text('settings.save')}
      </Button>{' '}
      <span role="status">{save.isSuccess && text('settings.saved')}</span>
      {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
    </Form>
  );
}
