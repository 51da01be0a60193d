import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { shown } from '../words/spelling';
import { labelText, shareText, text, textOf } from '../text/text';

interface Props {
  rungs: Schemas['RungView'][];
  groups: Schemas['GroupPlace'][];
  chosen: number;
  onChoose: (rung: Schemas['RungView']) => void;
}

/** A bar is full at this many new words: what a group can use in a fortnight. */
const FULL_BAR = 80;

/** The rungs between two rails; a rung's bar is as long as the words it unlocks. Arrow keys move from rung to rung. */
export function RungList({ rungs, groups, chosen, onChoose }: Props) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    list.current?.querySelector('[aria-pressed="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);

  const move = (from: number, by: number) => {
    const to = rungs[from + by];
    if (!to) return;
    onChoose(to);
    list.current?.querySelectorAll<HTMLElement>('.rung')[from + by]?.focus();
  };

  return (
    <ol className="rails" ref={list} aria-label={text('ladder.rungs')}>
      {rungs.map((rung, i) => (
        <li key={rung.id}>
          {rung.stage !== rungs[i - 1]?.stage && <h2 className="stage">{textOf('stage', rung.stage)}</h2>}
          <button
            type="button"
            className="rung"
            aria-pressed={i === chosen}
            onClick={() => onChoose(rung)}
            onKeyDown={(event) => {
              const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              move(i, by);
            }}
          >
            <span className="rung-number">{i + 1}</span>
            <span className={`rung-label${rung.correspondences.length > 0 ? ' literacy' : ''}`}>{labelText(rung.label)}</span>
            <span className="rung-bar">
              <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
                <rect width={100 * Math.sqrt(Math.min(rung.newWords, FULL_BAR) / FULL_BAR)} height="10" className="bar-fill" />
              </svg>
            </span>
            <span className="rung-count">
              +{rung.newWords} <span className="quiet">{text('ladder.readable', { count: rung.readable })}</span>
            </span>
            <ReadingCurve from={rungs[i - 1]?.textShare ?? 0} to={rung.textShare} />
            <span className="rung-notes">
              {rung.tricky.length > 0 && <span className="quiet">{text('ladder.tricky', { words: rung.tricky.map(shown).join(', ') })}</span>}
              {rung.reason && <span className="flag">{text('ladder.thin')}</span>}
              {rung.warnings.length > 0 && <span className="flag">{text('ladder.warnings', { count: rung.warnings.length })}</span>}
              {groups
                .filter((g) => g.nextRungId === rung.id)
                .map((g) => (
                  <span key={g.groupId} className="here">
                    {text('ladder.here', { group: g.name })}
                  </span>
                ))}
            </span>
          </button>
        </li>
      ))}
    </ol>
  );
}

/** A rung's piece of the reading curve: from the share of running text that could be read before it to the share after it. */
function ReadingCurve({ from, to }: { from: number; to: number }) {
  return (
    <span className="rung-curve" title={text('ladder.shareOf', { share: shareText(to) })}>
      <svg viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true">
        <polygon points={`0,0 ${100 * from},0 ${100 * to},40 0,40`} className="curve-area" />
        <line x1={100 * from} y1="0" x2={100 * to} y2="40" className="curve-line" vectorEffect="non-scaling-stroke" />
      </svg>
      <span className="quiet">{text('ladder.share', { share: shareText(to) })}</span>
    </span>
  );
}
