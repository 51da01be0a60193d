import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client } from '../api/client';
import { nowStale } from '../api/stale';
import { LessonDays } from '../calendar/LessonDays';
import { calendarQuery } from '../calendar/queries';
import { useFacts } from '../facts/facts';
import { mainLadder } from '../ladder/mainLadder';
import { ladderQuery, laddersQuery } from '../ladder/queries';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';
import { KnownRungs } from './KnownRungs';
import { PeopleChoice, type Taker } from './PeopleChoice';
import { RungChoice } from './RungChoice';

const USUAL_MINUTES = 20;

/** A new group: its ladder, where it stands on it, how long its lessons are, who takes it. */
export function NewGroupDialog({ onHide }: { onHide: () => void }) {
  const { school } = useSchool();
  const facts = useFacts();
  const queries = useQueryClient();
  const ladders = useQuery(laddersQuery(school.id));
  const calendar = useQuery(calendarQuery(school.id));
  const published = ladders.data?.filter((l) => l.latestVersion > 0) ?? [];
  const [id] = useState(() => crypto.randomUUID());
  const [name, setName] = useState('');
  const [ladderId, setLadderId] = useState<string | null>(null);
  const [next, setNext] = useState('');
  const [minutes, setMinutes] = useState(USUAL_MINUTES);
  const [days, setDays] = useState<number[] | null>(null);
  const [people, setPeople] = useState<Taker[]>([]);
  const [known, setKnown] = useState<readonly string[] | null>(null);
  const chosen = published.find((l) => l.id === ladderId) ?? mainLadder(published);
  const ladder = useQuery(
    ladderQuery(school.id, chosen ? { ladderId: chosen.id, version: chosen.latestVersion } : null),
  );
  const make = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups', {
          params: { path: { schoolId: school.id } },
          body: {
            id,
            name,
            ladderId: chosen!.id,
            nextRung: known ? null : next || null,
            known: known && [...known],
            lessonMinutes: minutes,
            lessonDays: days,
            people,
          },
        }),
      ),
    onSuccess: () => {
      void nowStale(queries, school.id, 'groups');
      onHide();
    },
  });
  if (ladders.isSuccess && published.length === 0)
    return (
      <Dialog title={text('newGroup.title')} onHide={onHide}>
        <p>{text('newGroup.noLadder')}</p>
        <Link className="btn btn-primary" to="/ladder/choose">
          {text('setUp.ladder')}
        </Link>
      </Dialog>
    );
  return (
    <Dialog
      title={text('newGroup.title')}
      onHide={onHide}
      size="lg"
      action={{ label: text('newGroup.make'), run: () => make.mutate(), disabled: make.isPending || !chosen }}
    >
      <Form.Group controlId="group-name" className="mb-3">
        <Form.Label>{text('newGroup.name')}</Form.Label>
        <Form.Control required maxLength={80} value={name} onChange={(e) => setName(e.target.value)} />
      </Form.Group>
      {published.length > 1 && (
        <Form.Group controlId="group-ladder" className="mb-3">
          <Form.Label>{text('newGroup.ladder')}</Form.Label>
          <Form.Select
            value={chosen?.id ?? ''}
            onChange={(e) => {
              setLadderId(e.target.value);
              setNext('');
              setKnown((before) => before && []);
            }}
          >
            {published.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
      )}
      <div className="d-flex flex-wrap column-gap-3" role="radiogroup" aria-label={text('newGroup.how')}>
        {([false, true] as const).map((ticked) => (
          <Form.Check
            key={`${ticked}`}
            type="radio"
            id={`stands-${ticked}`}
            label={text(ticked ? 'newGroup.ticked' : 'newGroup.upTo')}
            checked={(known !== null) === ticked}
            onChange={() => setKnown(ticked ? [] : null)}
          />
        ))}
      </div>
      {known ? (
        <KnownRungs rungs={ladder.data?.rungs ?? []} known={known} onChange={setKnown} />
      ) : (
        <RungChoice
          id="group-stands"
          label={text('newGroup.stands')}
          none={text('newGroup.start')}
          ladder={chosen ? { ladderId: chosen.id, version: chosen.latestVersion } : null}
          value={next}
          onChange={setNext}
          help={text('newGroup.standsHelp')}
          after={1}
        />
      )}
      <Form.Group controlId="group-minutes" className="mb-3">
        <Form.Label>{text('newGroup.minutes')}</Form.Label>
        <Form.Select className="w-auto" value={minutes} onChange={(e) => setMinutes(Number(e.target.value))}>
          {facts.lengths.map((m) => (
            <option key={m} value={m}>
              {text('calendar.minutes', { minutes: m })}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Check
        id="group-days"
        className="mb-2"
        label={text('newGroup.days')}
        checked={days !== null}
        onChange={(e) =>
          setDays(e.target.checked ? [...(calendar.data?.settings.lessonDays ?? [1, 2, 3, 4, 5])] : null)
        }
      />
      {days && <LessonDays id="new-group" days={days} onChange={setDays} />}
      <PeopleChoice chosen={people} onChange={setPeople} />
      {make.error && <ErrorNote problem={make.error} />}
    </Dialog>
  );
}
