import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link, useLocation, useParams } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, saysText, shortDayText, text, textOf } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import { catchUpNeedsQuery } from './queries';
import { targetText, whyText } from './targets';

type Plan = Schemas['CatchUpView'];
type Need = Schemas['CatchUpNeed'];
type How = 'right' | 'helped' | 'wrong';

const MINUTES = [3, 5, 10, 15];

/** So many are chosen at first: more have no turn in three minutes. */
const TOGETHER = 3;

/** A few minutes with whoever was away or missed much: chosen, made, held, and noted. */
export function CatchUpPage() {
  const { groupId = '' } = useParams();
  const { school } = useSchool();
  const needs = useQuery(catchUpNeedsQuery(school.id, groupId));
  usePageTitle(text('catchUp.page'));
  if (needs.error && !needs.data) return <ErrorNote problem={needs.error} retry={() => void needs.refetch()} />;
  if (!needs.data) return <Loading />;
  return <CatchUpOf key={groupId} groupId={groupId} needs={needs.data} />;
}

function CatchUpOf({ groupId, needs }: { groupId: string; needs: Schemas['CatchUpNeedsView'] }) {
  const { school } = useSchool();
  const given = (useLocation().state as { children?: string[] } | null)?.children;
  const [chosen, setChosen] = useState<string[]>(
    () =>
      given ??
      needs.children
        .filter((c) => c.targets.length > 0 && !c.isAway)
        .slice(0, TOGETHER)
        .map((c) => c.id),
  );
  const [minutes, setMinutes] = useState(3);
  const plan = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/catch-up/plan', {
          params: { path: { schoolId: school.id, groupId } },
          body: { children: chosen, minutes },
        }),
      ),
  });
  const choose = (id: string, on: boolean) => {
    setChosen(on ? [...chosen, id] : chosen.filter((c) => c !== id));
    plan.reset();
  };
  const needy = needs.children.filter((c) => c.targets.length > 0);
  const others = needs.children.filter((c) => c.targets.length === 0);
  return (
    <>
      <h1>{text('catchUp.title', { group: needs.group })}</h1>
      <p className="quiet">{dayText(needs.date)}</p>
      <section className="panel mb-3 no-print" aria-label={text('catchUp.who')}>
        <h2 className="fs-4">{text('catchUp.who')}</h2>
        {needs.children.length === 0 && (
          <p>
            {text('marks.noChildren')} <Link to="/children">{text('marks.toChildren')}</Link>
          </p>
        )}
        {needs.children.length > 0 && needy.length === 0 && <p>{text('catchUp.nobody')}</p>}
        <Children children={needy} chosen={chosen} choose={choose} />
        {others.length > 0 && (
          <details open={others.some((c) => chosen.includes(c.id))}>
            <summary>{text('catchUp.others')}</summary>
            <Children children={others} chosen={chosen} choose={choose} />
          </details>
        )}
        <div className="d-flex flex-wrap gap-3 align-items-end mt-3">
          <Form.Group controlId="minutes">
            <Form.Label className="mb-1">{text('catchUp.minutes')}</Form.Label>
            <Form.Select
              value={minutes}
              onChange={(e) => {
                setMinutes(Number(e.target.value));
                plan.reset();
              }}
            >
              {MINUTES.map((m) => (
                <option key={m} value={m}>
                  {text('catchUp.minute', { minutes: m })}
                </option>
              ))}
            </Form.Select>
          </Form.Group>
          <Button disabled={chosen.length === 0 || plan.isPending} onClick={() => plan.mutate()}>
            {text('catchUp.make')}
          </Button>
        </div>
        {plan.error && <ErrorNote problem={plan.error} retry={() => plan.mutate()} />}
      </section>
      {plan.data && (
        <Held
          key={JSON.stringify(plan.data)}
          groupId={groupId}
          plan={plan.data}
          children={needs.children.filter((c) => chosen.includes(c.id))}
        />
      )}
    </>
  );
}

function Children(props: { children: Need[]; chosen: string[]; choose: (id: string, on: boolean) => void }) {
  return (
    <ul className="catch-up-children list-unstyled mb-2">
      {props.children.map((c) => (
        <li key={c.id}>
          <Form.Check
            id={`child-${c.id}`}
            checked={props.chosen.includes(c.id)}
            disabled={c.isAway}
            onChange={(e) => props.choose(c.id, e.target.checked)}
            label={
              <>
                <strong>{c.name}</strong> {c.isAway && <span className="quiet small">{text('marks.away')} </span>}
                {c.last && <span className="quiet small">{text('catchUp.last', { day: shortDayText(c.last) })} </span>}
                {c.targets.map((t) => (
                  <span key={t.target} className="d-block small">
                    <span className="literacy">{targetText(t.target)}</span>{' '}
                    <span className="quiet">{t.reasons.map(whyText).join(', ')}</span>
                  </span>
                ))}
              </>
            }
          />
        </li>
      ))}
    </ul>
  );
}

/** What is done, to be read from or printed, and what each child showed. */
function Held({ groupId, plan, children }: { groupId: string; plan: Plan; children: Need[] }) {
  const { school } = useSchool();
  const cache = useQueryClient();
  const [id] = useState(() => crypto.randomUUID());
  const [seen, setSeen] = useState<Record<string, How>>({});
  const keep = useMutation({
    mutationFn: () =>
      answered(
        client.POST('/api/schools/{schoolId}/groups/{groupId}/catch-up', {
          params: { path: { schoolId: school.id, groupId } },
          body: {
            id,
            children: children.map((c) => c.id),
            targets: plan.parts.map((p) => p.target),
            seen: Object.entries(seen).map(([key, how]) => {
              const [childId, target] = key.split(' ') as [string, string];
              return { childId, target, seen: how };
            }),
          },
        }),
      ),
    onSuccess: () => {
      for (const key of ['group-memory', 'child-memory', 'school-memory'])
        void cache.invalidateQueries({ queryKey: [key] });
    },
  });
  if (plan.parts.length === 0) return <p className="panel">{text('catchUp.nothing')}</p>;
  return (
    <section className="panel" aria-label={text('catchUp.plan')}>
      <div className="d-flex flex-wrap justify-content-between gap-3">
        <h2 className="fs-4">{text('catchUp.plan')}</h2>
        <Button variant="outline-primary" className="no-print" onClick={() => window.print()}>
          {text('catchUp.print')}
        </Button>
      </div>
      <p className="quiet">
        {text('catchUp.takes', { minutes: Math.ceil(plan.seconds / 60) })} · {children.map((c) => c.name).join(', ')}
      </p>
      <ol className="catch-up list-unstyled">
        {plan.parts.map((p) => (
          <li key={p.target}>
            <p className="literacy catch-up-card">{shown(p.grapheme)}</p>
            <div>
              {p.sound && <p className="mb-1">{saysText(p.sound, p.keyWord!)}</p>}
              {p.read.length > 0 && (
                <p className="mb-1">
                  {text('catchUp.read')}{' '}
                  {p.read.map((w) => (
                    <span key={w.word} className="fs-4 me-3">
                      <MarkedWord word={w.word} marks={w.marks} />
                    </span>
                  ))}
                </p>
              )}
              {p.write.length > 0 && (
                <p className="mb-1">
                  {text('catchUp.write')}{' '}
                  <span className="literacy fs-4">{p.write.map((w) => shown(w.word)).join(', ')}</span>
                </p>
              )}
              {[...p.read, ...p.write].map(
                (w) =>
                  w.meaning && (
                    <p key={w.word} className="quiet small mb-1">
                      {w.word}: {w.meaning}
                    </p>
                  ),
              )}
              <ul className="catch-up-seen list-unstyled mb-0 no-print">
                {children.map((c) => (
                  <li
                    key={c.id}
                    role="group"
                    aria-label={text('catchUp.seenOf', { name: c.name, letters: p.grapheme })}
                  >
                    <span>{c.name}</span>
                    {(['right', 'helped', 'wrong'] as const).map((how) => {
                      const key = `${c.id} ${p.target}`;
                      return (
                        <button
                          key={how}
                          type="button"
                          disabled={keep.isSuccess}
                          aria-pressed={seen[key] === how}
                          onClick={() => setSeen({ ...seen, [key]: how })}
                        >
                          {textOf('marks.read', how)}
                        </button>
                      );
                    })}
                  </li>
                ))}
              </ul>
            </div>
          </li>
        ))}
      </ol>
      {plan.sentence && (
        <p>
          {text('catchUp.sentence')} <span className="literacy fs-4">{plan.sentence}</span>
        </p>
      )}
      <div className="no-print">
        {keep.isSuccess ? (
          <p role="status" className="mb-0">
            {text('catchUp.kept')} <Link to={`/groups/${groupId}/memory`}>{text('memory.page')}</Link>
          </p>
        ) : (
          <Button size="lg" disabled={keep.isPending} onClick={() => keep.mutate()}>
            {text('catchUp.done')}
          </Button>
        )}
        {keep.error && <ErrorNote problem={keep.error} retry={() => keep.mutate()} />}
      </div>
    </section>
  );
}
