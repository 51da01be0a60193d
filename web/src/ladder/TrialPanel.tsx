import type { Schemas } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { dayText, labelText, text, warningText } from '../text/text';
import type { Rung } from './editing';

interface Props {
  title: string;
  rungs: Rung[];
  trial: Schemas['TrialView'] | undefined;
  problem: Error | null;
}

/** What a change that is being tried would do: words, warnings, planned lessons. */
export function TrialPanel({ title, rungs, trial, problem }: Props) {
  if (problem) return <ErrorNote problem={problem} />;
  const key = (id: string, w: Schemas['Reason']) => `${id} ${w.code} ${w.arguments[0] ?? ''}`;
  const was = new Set(rungs.flatMap((r) => r.warnings.map((w) => key(r.id, w))));
  const now = new Set(trial?.rungs.flatMap((r) => r.warnings.map((w) => key(r.id, w))) ?? []);
  const fresh =
    trial?.rungs.flatMap((r) =>
      r.warnings.filter((w) => !was.has(key(r.id, w))).map((w) => ({ id: r.id, warning: w })),
    ) ?? [];
  const gone = trial
    ? rungs.flatMap((r) => r.warnings.filter((w) => !now.has(key(r.id, w))).map((w) => ({ id: r.id, warning: w })))
    : [];
  const label = (id: string) => labelText(rungs.find((r) => r.id === id)?.label ?? id);
  return (
    <div className="trial" data-ready={trial !== undefined}>
      <h2>{title}</h2>
      <p className="quiet">{text('trial.keys')}</p>
      {trial && (
        <>
          <Moves title={text('trial.earlier', { count: trial.earlier.count })} moves={trial.earlier} />
          <Moves title={text('trial.later', { count: trial.later.count })} moves={trial.later} />
          <Moves title={text('trial.gained', { count: trial.gained.count })} moves={trial.gained} />
          <Moves title={text('trial.lost', { count: trial.lost.count })} moves={trial.lost} />
          {trial.earlier.count + trial.later.count + trial.gained.count + trial.lost.count === 0 && (
            <p>{text('trial.noWords')}</p>
          )}
          {fresh.length > 0 && <h3>{text('trial.newWarnings', { count: fresh.length })}</h3>}
          {fresh.map(({ id, warning }) => (
            <p key={key(id, warning)} className="flag-note py-2 px-3 rounded">
              <strong>{label(id)}:</strong> {warningText(warning)}
            </p>
          ))}
          {gone.length > 0 && <h3>{text('trial.goneWarnings', { count: gone.length })}</h3>}
          {gone.map(({ id, warning }) => (
            <p key={key(id, warning)} className="quiet">
              <strong>{label(id)}:</strong> {warningText(warning)}
            </p>
          ))}
          {trial.lessons.length > 0 && <h3>{text('trial.lessons', { count: trial.lessons.length })}</h3>}
          <ul className="list-unstyled">
            {trial.lessons.map((l) => (
              <li key={l.group + l.date}>
                {text('trial.lesson', {
                  group: l.group,
                  date: dayText(l.date),
                  rung: labelText(l.rung),
                  items: l.items,
                  expected: l.expected ? labelText(l.expected) : 'none',
                })}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function Moves({ title, moves }: { title: string; moves: Schemas['WordMoves'] }) {
  if (moves.count === 0) return null;
  return (
    <section>
      <h3>{title}</h3>
      <p className="fs-5 d-flex flex-wrap row-gap-1 column-gap-3">
        {moves.examples.map((m) => (
          <span key={m.word}>
            <span className="literacy">{m.word}</span>{' '}
            <span className="quiet small">
              {m.before ?? '–'}→{m.after ?? '–'}
            </span>
          </span>
        ))}
      </p>
    </section>
  );
}
