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

/**
 * One rung between the rails: its date, what it teaches, what it unlocks, its piece of the reading curve, its marks.
 */
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
  const classes = [
    'row-rung position-relative',
    cut && 'cut',
    dragged && 'dragged',
    line && `line-${line}`,
    place && `place-${place}`,
    isToday && 'is-today',
  ]
    .filter(Boolean)
    .join(' ');
  return (
    <li ref={dropRef} className={classes} data-rung={rung.id}>
      <span className={`rung-date small py-0 px-2 d-flex align-items-center text-nowrap${isTaught ? ' quiet' : ''}`}>
        {date ? shortDayText(date) : taughtOn && <span title={dayText(taughtOn)}>{text('rail.taught')}</span>}
      </span>
      {canEdit && (
        <span
          className="rung-grip d-flex align-items-center justify-content-center user-select-none"
          ref={gripRef}
          {...listeners}
          title={text('ladder.drag')}
          aria-hidden="true"
        >
          ⠿
        </span>
      )}
      <button
        type="button"
        className="rung border-0 bg-transparent text-body text-start small px-2 rung-columns d-grid gap-2 align-items-center"
        aria-pressed={chosen}
        aria-label={text('ladder.rungName', { number, label: labelText(rung.label), words: now.newWords, warnings })}
        onClick={(event) => onChoose(rung.id, event)}
        onKeyDown={(event) => onKey(rung.id, event)}
      >
        <span className="quiet text-end">{number}</span>
        <span className="d-flex flex-wrap row-gap-0 column-gap-2 align-items-baseline">
          <span className={`rung-label lh-sm text-break${rung.correspondences.length > 0 ? ' literacy' : ''}`}>
            {labelText(rung.label)}
          </span>
          {rung.correspondences[0] && <span className="quiet small">{rung.correspondences[0].keyWord}</span>}
        </span>
        <span className="rung-bar">
          <svg viewBox="0 0 100 10" preserveAspectRatio="none" className="d-block w-100" aria-hidden="true">
            <rect width={100 * Math.sqrt(Math.min(now.newWords, FULL_BAR) / FULL_BAR)} height="10" />
          </svg>
        </span>
        <span className={`rung-count text-nowrap${changed ? ' changed' : ''}`}>
          +{now.newWords} <span className="quiet">{text('ladder.readable', { count: now.readable })}</span>
        </span>
        <span className="rung-share text-end small" title={text('ladder.shareOf', { share: shareText(now.textShare) })}>
          {shareText(now.textShare)}
        </span>
        <ReadingCurve from={before} to={now.textShare} otherFrom={otherFrom} otherTo={otherTo} />
      </button>
      <span className="rung-notes d-flex row-gap-1 column-gap-2 overflow-hidden text-nowrap align-items-center py-1 px-2">
        {rung.tricky.map((word) => (
          <TrickyChip key={word} word={word} canEdit={canEdit} />
        ))}
        {rung.reason && rung.kind === 'lesson' && (
          <span className="border text-warning-emphasis bg-white rounded-pill py-0 px-2 small">
            {text('ladder.thin')}
          </span>
        )}
        {warnings > 0 && (
          <span
            className="border text-warning-emphasis bg-warning-subtle rounded-pill py-0 px-2 small flag-warning fw-bold"
            title={text('ladder.warnings', { count: warnings })}
          >
            ! {warnings}
          </span>
        )}
        {groups !== '' && (
          <span className="text-bg-primary rounded-pill py-0 px-2 small">{text('ladder.here', { group: groups })}</span>
        )}
      </span>
    </li>
  );
});

/** A tricky word on its rung; dragged to another rung where the ladder can be changed. */
function TrickyChip({ word, canEdit }: { word: string; canEdit: boolean }) {
  const { setNodeRef, listeners } = useDraggable({ id: `tricky ${word}`, disabled: !canEdit });
  return (
    <span
      className={`tricky-chip py-0 px-2 literacy${canEdit ? ' grab' : ''}`}
      ref={setNodeRef}
      {...listeners}
      title={text('ladder.trickyWord')}
    >
      {shown(word)}
    </span>
  );
}

/** What stands in the columns. */
export function RowHeads({ canEdit }: { canEdit: boolean }) {
  return (
    <div className={`row-heads py-0 ps-2 pe-3 small${canEdit ? ' can-edit' : ''}`} aria-hidden="true">
      <span className="px-2">{text('ladder.head.date')}</span>
      {canEdit && <span />}
      <span className="rung-columns d-grid gap-2 align-items-center px-2">
        <span />
        <span>{text('ladder.head.new')}</span>
        <span className="head-words text-nowrap">{text('ladder.head.words')}</span>
        <span className="head-text text-nowrap">{text('ladder.head.text')}</span>
      </span>
      <span className="px-2">{text('ladder.head.tricky')}</span>
    </div>
  );
}

/**
 * A rung's piece of the reading curve: from the share of running text that could be read before it to the share after
 * it.
 */
function ReadingCurve({
  from,
  to,
  otherFrom,
  otherTo,
}: {
  from: number;
  to: number;
  otherFrom: number | undefined;
  otherTo: number | undefined;
}) {
  return (
    <span className="rung-curve align-self-stretch position-relative">
      <svg viewBox="0 0 100 40" preserveAspectRatio="none" aria-hidden="true">
        {[25, 50, 75].map((x) => (
          <line key={x} x1={x} y1="0" x2={x} y2="40" className="curve-grid" vectorEffect="non-scaling-stroke" />
        ))}
        <polygon points={`0,0 ${100 * from},0 ${100 * to},40 0,40`} className="curve-area" />
        <line x1={100 * from} y1="0" x2={100 * to} y2="40" className="curve-line" vectorEffect="non-scaling-stroke" />
        {otherTo !== undefined && (
          <line
            x1={100 * (otherFrom ?? 0)}
            y1="0"
            x2={100 * otherTo}
            y2="40"
            className="curve-other"
            vectorEffect="non-scaling-stroke"
          />
        )}
      </svg>
    </span>
  );
}
