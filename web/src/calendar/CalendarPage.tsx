import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Button, CloseButton, Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { calendarQuery } from './queries';
import { useFacts } from '../facts/facts';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { SaveProblem } from '../shell/SaveProblem';
import { useUnsaved } from '../shell/useUnsaved';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text } from '../text/text';
import { Chip } from '../shell/Chip';
import { DatesDialog } from './DatesDialog';
import { LessonDays } from './LessonDays';
import { OwnCalendar } from './OwnCalendar';
import { USUAL_LENGTHS, WeekdayLengths } from './WeekdayLengths';
import { WhatChoice } from './WhatChoice';

type Calendar = Schemas['CalendarSettings'];

/** Terms, closed days, lesson days, rhythm and checkpoints: what every date on the ladder follows from. */
export function CalendarPage() {
  const { school } = useSchool();
  usePageTitle(text('calendar.title'));
  const calendar = useQuery(calendarQuery(school.id));
  if (calendar.isPending) return <Loading />;
  if (calendar.error) return <ErrorNote problem={calendar.error} retry={() => void calendar.refetch()} />;
  return <CalendarForm kept={calendar.data} />;
}

function CalendarForm({ kept }: { kept: Schemas['CalendarView'] }) {
  const facts = useFacts();
  const { school } = useSchool();
  const queries = useQueryClient();
  const [typed, setTyped] = useState(kept.settings);
  const [stamp, setStamp] = useState(kept.stamp);
  const [day, setDay] = useState('');
  const [until, setUntil] = useState('');
  const [importing, setImporting] = useState(false);
  const lead = school.role === 'lead';
  const save = useMutation({
    mutationFn: (body: Calendar) =>
      answered(
        client.POST('/api/schools/{schoolId}/calendar', {
          params: { path: { schoolId: school.id }, header: { 'If-Match': stamp } },
          body,
        }),
      ),
    onSuccess: (saved) => {
      setTyped(saved.settings);
      setStamp(saved.stamp);
      void nowStale(queries, school.id, 'settings');
    },
  });
  const unsaved = JSON.stringify(typed) !== JSON.stringify(kept.settings);
  useUnsaved(unsaved);
  const change = (part: Partial<Calendar>) => {
    save.reset();
    setTyped({ ...typed, ...part });
  };
  const term = (id: string, part: Partial<Schemas['TermView']>) =>
    change({ terms: typed.terms.map((t) => (t.id === id ? { ...t, ...part } : t)) });
  const checkpoint = (id: string, part: Partial<Schemas['CheckpointView']>) =>
    change({ checkpoints: typed.checkpoints.map((c) => (c.id === id ? { ...c, ...part } : c)) });
  const pace = (id: string, part: Partial<Schemas['GroupPace']>) =>
    change({ groups: typed.groups.map((g) => (g.groupId === id ? { ...g, ...part } : g)) });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate(typed);
  };
  return (
    <>
      <h1>{text('calendar.title')}</h1>
      <p className="quiet">{text(lead ? 'calendar.intro' : 'style.leadOnly')}</p>
      <Form onSubmit={submit}>
        <fieldset disabled={!lead} className="settings d-grid gap-3 align-items-start">
          <section className="panel">
            <h2>{text('calendar.terms')}</h2>
            {typed.terms.length === 0 && <p className="py-4">{text('calendar.noTerms')}</p>}
            {typed.terms.map((t) => (
              <div key={t.id} className="form-line d-flex flex-wrap flex-md-nowrap gap-2 align-items-center mb-2">
                <Form.Control
                  aria-label={text('calendar.name')}
                  required
                  maxLength={80}
                  value={t.name}
                  onChange={(e) => term(t.id, { name: e.target.value })}
                />
                <Form.Control
                  aria-label={text('calendar.first')}
                  type="date"
                  required
                  value={t.first}
                  onChange={(e) => term(t.id, { first: e.target.value })}
                />
                <Form.Control
                  aria-label={text('calendar.last')}
                  type="date"
                  required
                  value={t.last}
                  onChange={(e) => term(t.id, { last: e.target.value })}
                />
                <CloseButton
                  aria-label={text('calendar.remove', { name: t.name })}
                  onClick={() => change({ terms: typed.terms.filter((other) => other.id !== t.id) })}
                />
              </div>
            ))}
            <Button
              size="sm"
              variant="outline-secondary"
              onClick={() =>
                change({
                  terms: [
                    ...typed.terms,
                    { id: crypto.randomUUID(), name: '', first: school.today, last: school.today },
                  ],
                })
              }
            >
              {text('calendar.addTerm')}
            </Button>{' '}
            <Button size="sm" variant="outline-secondary" onClick={() => setImporting(true)}>
              {text('dates.open')}
            </Button>
          </section>
          <section className="panel">
            <h2>{text('calendar.rhythm')}</h2>
            <Form.Label as="p" className="mb-1">
              {text('calendar.lessonDays')}
            </Form.Label>
            <LessonDays id="school" days={typed.lessonDays} onChange={(lessonDays) => change({ lessonDays })} />
            {(['reviewWeeks', 'checkWeeks', 'recapWeeks'] as const).map((field) => (
              <Form.Group
                key={field}
                controlId={field}
                className="form-line d-flex flex-nowrap gap-2 align-items-center mb-2"
              >
                <Form.Control
                  className="flex-grow-0"
                  type="number"
                  min={0}
                  max={20}
                  required
                  value={typed[field]}
                  onChange={(e) => change({ [field]: Number(e.target.value) })}
                />
                <Form.Label className="mb-0">
                  {text(
                    field === 'reviewWeeks'
                      ? 'calendar.review'
                      : field === 'checkWeeks'
                        ? 'calendar.check'
                        : 'calendar.recap',
                  )}{' '}
                  <span className="quiet">{text('calendar.zero')}</span>
                </Form.Label>
              </Form.Group>
            ))}
          </section>
          <section className="panel">
            <h2>{text('calendar.closed')}</h2>
            <ul className="list-unstyled d-flex flex-wrap gap-2 my-2 mx-0">
              {typed.closed.map((d) => (
                <Chip
                  key={d}
                  off={text('calendar.remove', { name: dayText(d) })}
                  onOff={() => change({ closed: typed.closed.filter((other) => other !== d) })}
                >
                  {dayText(d)}
                </Chip>
              ))}
            </ul>
            <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
              <Form.Control
                className="w-auto"
                type="date"
                aria-label={text('calendar.closedFirst')}
                value={day}
                onChange={(e) => setDay(e.target.value)}
              />
              <span>{text('calendar.to')}</span>
              <Form.Control
                className="w-auto"
                type="date"
                aria-label={text('calendar.closedLast')}
                min={day}
                value={until}
                onChange={(e) => setUntil(e.target.value)}
              />
              <Button
                size="sm"
                variant="outline-secondary"
                disabled={day === ''}
                onClick={() => {
                  change({
                    closed: [...new Set([...typed.closed, ...daysFrom(day, until || day, lessonDaysOf(typed))])].sort(),
                  });
                  setDay('');
                  setUntil('');
                }}
              >
                {text('calendar.addClosed')}
              </Button>
            </div>
          </section>
          <section className="panel">
            <h2>{text('calendar.checkpoints')}</h2>
            <p className="quiet small">{text('calendar.checkpointsHelp')}</p>
            {typed.checkpoints.map((c) => (
              <div key={c.id} className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
                <div className="w-100">
                  <Form.Control
                    aria-label={text('calendar.name')}
                    required
                    maxLength={80}
                    value={c.name}
                    onChange={(e) => checkpoint(c.id, { name: e.target.value })}
                  />
                </div>
                <WhatChoice value={c.what} onChange={(what) => checkpoint(c.id, { what })} />
                <Form.Control
                  aria-label={text('calendar.by')}
                  type="date"
                  required
                  value={c.date}
                  onChange={(e) => checkpoint(c.id, { date: e.target.value })}
                />
                <CloseButton
                  aria-label={text('calendar.remove', { name: c.name })}
                  onClick={() => change({ checkpoints: typed.checkpoints.filter((other) => other.id !== c.id) })}
                />
              </div>
            ))}
            <Button
              size="sm"
              variant="outline-secondary"
              onClick={() =>
                change({
                  checkpoints: [
                    ...typed.checkpoints,
                    { id: crypto.randomUUID(), name: '', date: school.today, what: 'letters' },
                  ],
                })
              }
            >
              {text('calendar.addCheckpoint')}
            </Button>
          </section>
          <section className="panel">
            <h2>{text('calendar.groups')}</h2>
            {typed.groups.map((g) => (
              <div key={g.groupId}>
                <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
                  <strong className="label-name">{g.name}</strong>
                  <Form.Select
                    className="w-auto"
                    aria-label={g.name}
                    value={g.lessonMinutes}
                    onChange={(e) => pace(g.groupId, { lessonMinutes: Number(e.target.value) })}
                  >
                    {facts.lengths.map((m) => (
                      <option key={m} value={m}>
                        {text('calendar.minutes', { minutes: m })}
                      </option>
                    ))}
                  </Form.Select>
                  <Form.Check
                    id={`own-${g.groupId}`}
                    label={text('calendar.ownDays')}
                    checked={Boolean(g.lessonDays)}
                    onChange={(e) => pace(g.groupId, { lessonDays: e.target.checked ? typed.lessonDays : null })}
                  />
                  <Form.Check
                    id={`lengths-${g.groupId}`}
                    label={text('calendar.ownLengths')}
                    checked={Boolean(g.weekdayMinutes)}
                    onChange={(e) => pace(g.groupId, { weekdayMinutes: e.target.checked ? USUAL_LENGTHS : null })}
                  />
                </div>
                {g.lessonDays && (
                  <LessonDays
                    id={g.groupId}
                    days={g.lessonDays}
                    onChange={(lessonDays) => pace(g.groupId, { lessonDays })}
                  />
                )}
                {g.weekdayMinutes && (
                  <WeekdayLengths
                    name={g.name}
                    days={g.lessonDays ?? typed.lessonDays}
                    usual={g.lessonMinutes}
                    minutes={g.weekdayMinutes}
                    onChange={(weekdayMinutes) => pace(g.groupId, { weekdayMinutes })}
                  />
                )}
              </div>
            ))}
          </section>
        </fieldset>
        {save.error && <SaveProblem problem={save.error} onMine={setStamp} />}
        {lead && (
          <p className={`save-bar py-2 px-3 border-top${unsaved ? ' sticky-bottom bg-white shadow' : ''}`}>
            <Button type="submit" disabled={save.isPending}>
              {text('calendar.save')}
            </Button>{' '}
            <span role="status">{save.isSuccess && text('calendar.saved')}</span>
          </p>
        )}
      </Form>
      {mayChange(school.role) && (
        <div className="mt-4">
          <OwnCalendar />
        </div>
      )}
      {importing && <DatesDialog calendar={typed} onTake={change} onHide={() => setImporting(false)} />}
    </>
  );
}

/** The weekdays on which anyone has lessons: only on these is a day worth closing. */
const lessonDaysOf = (calendar: Calendar) =>
  new Set([...calendar.lessonDays, ...calendar.groups.flatMap((g) => g.lessonDays ?? [])]);

/** The days with lessons from one date to another, at most a month of them. */
function daysFrom(first: string, last: string, lessonDays: ReadonlySet<number>): string[] {
  const days: string[] = [];
  for (let at = Date.parse(first); at <= Date.parse(last) && days.length < 31; at += 86_400_000) {
    const date = new Date(at);
    if (lessonDays.has(date.getUTCDay() || 7)) days.push(date.toISOString().slice(0, 10));
  }
  return days;
}
