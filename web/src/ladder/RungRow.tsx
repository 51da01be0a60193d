import { useDraggable, useDroppable } from '@dnd-kit/core';
import { memo, type KeyboardEvent, type MouseEvent } from 'react';
import type { Schemas } from '../api/client';
import { dayText, labelText, shareText, shortDayText, text } from '../text/text';
import { shown } from '../words/spelling';
import type { Rung } from './editing';

export interface RowProps {
  rung: Rung;
  number: number;
  /** Share of text that could be read before this rung. */
  before: number;
  /** The same two shares of the ladder that this one is compared with. */
  otherFrom: number | undefined;
  otherTo: number | undefined;
  date: string | undefined;
  /** The day it was taught, where that is before what stands above it. */
  taughtOn: string | undefined;
  isTaught: boolean;
  isToday: boolean;
  /** Names of the groups that come to this rung next, with commas between. */
  groups: string;
  trial: Schemas['TrialRung'] | undefined;
  warnings: number;
  chosen: boolean;
  cut: boolean;
  dragged: boolean;
  line: 'above' | 'below' | null;
  place: 'good' | 'bad' | null;
  canEdit: boolean;
  onChoose: (id: string, event: MouseEvent) => void;
  onKey: (id: string, event: KeyboardEvent) => void;
}

/** A bar is full at this many new words: what a group can use in a fortnight. */
const FULL_BAR = 80;

/** One rung between the rails: its date, what it teaches, what it unlocks, its piece of the reading curve, its marks. */
export const RungRow = memo(function RungRow({
  rung,
  number,
  before,
  otherFrom,
  otherTo,
  date,
  taughtOn,
  isTaught,
  isToday,
  groups,
  trial,
  warnings,
  chosen,
  cut,
  dragged,
  line,
  place,
  canEdit,
  onChoose,
  onKey,
}: RowProps) {
  const { setNodeRef: dropRef } = useDroppable({ id: `row ${rung.id}` });
  const { setNodeRef: gripRef, listeners } = useDraggable({ id: `rung ${rung.id}`, disabled: !canEdit });
  const now = trial ?? rung;
  const changed = trial !== undefined && (trial.newWords !== rung.newWords || trial.readable !== rung.readable);
  const classes = ['row-rung', cut && 'cut', dragged && 'dragged', line && `line-${line}`, place && `place-${place}`, isToday && 'is-today'].filter(Boolean).join(' ');
  return (
    <li ref={dropRef} className={classes} data-rung={rung.id}>
      <span className={`rung-date${isTaught ? ' quiet' : ''}`}>{date ? shortDayText(date) : taughtOn && <span title={dayText(taughtOn)}>{text('rail.taught')}</span>}</span>
      {canEdit && (
        <span className="rung-grip" ref={gripRef} {...listeners} title={text('ladder.drag')} aria-hidden="true">
          ⠿
        </span>
      )}
      <button
        type="button"
        className="rung rung-columns"
        aria-pressed={chosen}
        aria-label={text('ladder.rungName', { number, label: labelText(rung.label), words: now.newWords, warnings })}
        onClick={(event) => onChoose(rung.id, event)}
        onKeyDown={(event) => onKey(rung.id, event)}
      >
        <span className="rung-number">{number}</span>
        <span className="rung-what">
          <span className={`rung-label${rung.correspondences.length > 0 ? ' literacy' : ''}`}>{labelText(rung.label)}</span>
          {rung.correspondences[0] && <span className="rung-key">{rung.correspondences[0].keyWord}</span>}
        </span>
        <span className="rung-bar">
          <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
            <rect width={100 * Math.sqrt(Math.min(now.newWords, FULL_BAR) / FULL_BAR)} height="10" className="bar-fill" />
          </svg>
        </span>
        <span className={`rung-count${changed ? ' changed' : ''}`}>
          +{now.newWords} <span className="quiet">{text('ladder.readable', { count: now.readable })}</span>
        </span>
        <span className="rung-share" title={text('ladder.shareOf', { share: shareText(now.textShare) })}>
          {shareText(now.textShare)}
        </span>
        <ReadingCurve from={before} to={now.textShare} otherFrom={otherFrom} otherTo={otherTo} />
      </button>
      <span className="rung-notes">
        {rung.tricky.map((word) => (
          <TrickyChip key={word} word={word} canEdit={canEdit} />
        ))}
        {rung.reason && rung.kind === 'lesson' && <span className="flag">{text('ladder.thin')}</span>}
        {warnings > 0 && (
          <span className="flag flag-warning" title={text('ladder.warnings', { count: warnings })}>
            ! {warnings}
          </span>
        )}
        {groups !== '' && <span className="here">{text('ladder.here', { group: groups })}</span>}
      </span>
    </li>
  );
});

/** A tricky word on its rung; dragged to another rung where the ladder can be changed. */
function TrickyChip({ word, canEdit }: { word: string; canEdit: boolean }) {
  const { setNodeRef, listeners } = useDraggable({ id: `tricky ${word}`, disabled: !canEdit });
  return (
    <span className={`tricky-chip literacy${canEdit ? ' grab' : ''}`} ref={setNodeRef} {...listeners} title={text('ladder.trickyWord')}>
      {shown(word)}
    </span>
  );
}

/** What stands in the columns. */
export function RowHeads({ canEdit }: { canEdit: boolean }) {
  return (
    <div className={`row-heads${canEdit ? ' can-edit' : ''}`} aria-hidden="true">
      <span>{text('ladder.head.date')}</span>
      {canEdit && <span />}
      <span className="rung-columns">
        <span />
        <span>{text('ladder.head.new')}</span>
        <span className="head-words">{text('ladder.head.words')}</span>
        <span className="head-text">{text('ladder.head.text')}</span>
      </span>
      <span>{text('ladder.head.tricky')}</span>
    </div>
  );
}

/** A rung's piece of the reading curve: from the share of running text that could be read before it to the share after it. */
function ReadingCurve({ from, to, otherFrom, otherTo }: { from: number; to: number; otherFrom: number | undefined; otherTo: number | undefined }) {
  return (
    <span className="rung-curve">
      <svg viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true">
        {[25, 50, 75].map((x) => (
          <line key={x} x1={x} y1="0" x2={x} y2="40" className="curve-grid" vectorEffect="non-scaling-stroke" />
        ))}
        <polygon points={`0,0 ${100 * from},0 ${100 * to},40 0,40`} className="curve-area" />
        <line x1={100 * from} y1="0" x2={100 * to} y2="40" className="curve-line" vectorEffect="non-scaling-stroke" />
        {otherTo !== undefined && <line x1={100 * (otherFrom ?? 0)} y1="0" x2={100 * otherTo} y2="40" className="curve-other" vectorEffect="non-scaling-stroke" />}
      </svg>
    </span>
  );
}
