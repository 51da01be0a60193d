import { Button } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { labelText, shareText, text, warningText } from '../text/text';
import type { Rung } from './editing';
import type { Ladder } from './queries';

const MOST = 8;
const FEW = 5;

interface Props {
  ladder: Ladder;
  group: Schemas['GroupDates'] | undefined;
  onChoose: (rungId: string) => void;
}

/**
 * What the whole ladder needs most: its warnings and the calendar's, each one click from its rung; and where reading
 * grows, and where words are few.
 */
export function LadderNeeds({ ladder, group, onChoose }: Props) {
  const rungs = ladder.rungs;
  const number = new Map(rungs.map((r, i) => [r.id, i + 1]));
  const warned = [
    ...rungs.flatMap((r) => r.warnings.map((warning) => ({ rungId: r.id, warning }))),
    ...(group?.warnings ?? []).map(({ rungId, warning }) => ({ rungId, warning })),
  ].filter(({ rungId }) => number.has(rungId));
  const lessons = rungs.filter((r) => r.kind === 'lesson' && r.correspondences.length > 0);
  const fewest = lessons
    .slice()
    .sort((a, b) => a.newWords - b.newWords)
    .slice(0, FEW);
  const gains = rungs.map((rung, i) => ({ rung, gain: rung.textShare - (rungs[i - 1]?.textShare ?? 0) }));
  const most = gains.sort((a, b) => b.gain - a.gain).slice(0, FEW);
  const link = (rung: Rung, what: string) => (
    <li key={rung.id} className="mb-2">
      <Button variant="link" size="sm" className="p-0" onClick={() => onChoose(rung.id)}>
        {text('needs.rung', { number: number.get(rung.id)!, label: labelText(rung.label) })}
      </Button>{' '}
      <span className="quiet">{what}</span>
    </li>
  );
  return (
    <section>
      <h2>{text('needs.title')}</h2>
      {warned.length === 0 && <p>{text('needs.nothing')}</p>}
      <ul className="list-unstyled">
        {warned.slice(0, MOST).map(({ rungId, warning }, i) => (
          <li key={i} className="mb-2">
            <Button variant="link" size="sm" className="p-0" onClick={() => onChoose(rungId)}>
              {text('needs.rung', {
                number: number.get(rungId)!,
                label: labelText(rungs[number.get(rungId)! - 1]!.label),
              })}
            </Button>{' '}
            {warningText(warning)}
          </li>
        ))}
      </ul>
      {warned.length > MOST && <p className="quiet">{text('needs.more', { count: warned.length - MOST })}</p>}
      {group && (group.spare < 0 || !group.hasEnoughSpare) && (
        <p className="flag-note py-2 px-3 rounded">
          {text(group.spare < 0 ? 'needs.missing' : 'needs.spare', { group: group.name, days: Math.abs(group.spare) })}
        </p>
      )}
      <h3>{text('needs.fewest')}</h3>
      <ul className="list-unstyled">{fewest.map((r) => link(r, text('needs.words', { count: r.newWords })))}</ul>
      <h3>{text('needs.grows')}</h3>
      <ul className="list-unstyled">
        {most.map(({ rung, gain }) => link(rung, text('needs.gain', { share: shareText(gain) })))}
      </ul>
    </section>
  );
}
