import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, forgetToken, type Schemas } from '../api/client';
import { LANGUAGES, USUAL_ZONE, zoneText, ZONES } from '../school/zones';
import { text, textOf } from '../text/text';
import { Door } from './Door';
import { Field } from './Field';
import { NOBODY, PersonFields } from './PersonFields';

const ACCENTS = ['southern-british', 'northern-english', 'general-american'];

/** The first school of a server, and its lead: by the one-time address that the server printed. */
export function WelcomePage() {
  const [key] = useState(() => window.location.hash.slice(1));
  const [lead, setLead] = useState<Schemas['NewPerson']>(NOBODY);
  const [school, setSchool] = useState({
    name: '',
    timeZone: USUAL_ZONE,
    accent: ACCENTS[0]!,
    language: LANGUAGES[0] as string,
  });
  const make = useMutation({
    mutationFn: () => answered(client.POST('/api/first-run', { body: { key, ...school, lead } })),
    onSuccess: () => {
      forgetToken();
      window.location.assign('/');
    },
  });
  if (!key) return <Door title={text('welcome.title')} intro={text('join.noKey')} />;
  const choice = (
    field: 'timeZone' | 'accent' | 'language',
    label: string,
    of: readonly string[],
    name = (v: string) => v,
  ) => (
    <Form.Group controlId={field} className="col-sm">
      <Form.Label>{label}</Form.Label>
      <Form.Select value={school[field]} onChange={(e) => setSchool({ ...school, [field]: e.target.value })}>
        {of.map((v) => (
          <option key={v} value={v}>
            {name(v)}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  return (
    <Door
      title={text('welcome.title')}
      intro={text('welcome.intro')}
      problem={make.error}
      action={{ label: text('welcome.submit'), run: () => make.mutate(), disabled: make.isPending || make.isSuccess }}
    >
      <h2 className="fs-5 m-0">{text('welcome.school')}</h2>
      <Field
        id="school-name"
        label={text('welcome.name')}
        autoComplete="organization"
        maxLength={80}
        value={school.name}
        onChange={(name) => setSchool({ ...school, name })}
      />
      <div className="row g-3">
        {choice('language', text('welcome.language'), LANGUAGES, (v) => textOf('welcome.language', v))}
        {choice('accent', text('welcome.accent'), ACCENTS, (v) => textOf('style.accent', v))}
      </div>
      {choice('timeZone', text('welcome.zone'), ZONES, zoneText)}
      <h2 className="fs-5 m-0 mt-2">{text('welcome.you')}</h2>
      <PersonFields person={lead} onChange={setLead} />
    </Door>
  );
}
