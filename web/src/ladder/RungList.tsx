import { useCallback, useEffect, useLayoutEffect, useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { stageText, text } from '../text/text';
import type { Rung } from './editing';
import { useFacts } from '../facts/facts';
import { datesBefore, gapsBefore, railDates } from './rail';
import { RungRow } from './RungRow';

type Group = Schemas['GroupDates'];

export interface Shown {
  rungs: Rung[];
  trial: Schemas['TrialView'] | undefined;
  /** Share of text readable after each rung of the ladder that this one is compared with. */
  compared: readonly number[];
  group: Group | undefined;
  groups: Group[];
  today: string | undefined;
  chosen: readonly string[];
  cut: readonly string[];
  /** What is being dragged, and where its line is drawn. */
  dragged: readonly string[];
  over: { id: string; side: 'above' | 'below' } | null;
  /** For each rung whether the chosen one would stand better or worse at its place. */
  places: ReadonlyMap<string, 'good' | 'bad'>;
  canEdit: boolean;
}

interface Props extends Shown {
  onChoose: (id: string, how: 'one' | 'more' | 'range') => void;
  onKey: (id: string, event: KeyboardEvent) => void;
  onRenameStage: (first: Rung, name: string) => void;
}

/**
 * The rungs between two rails, the calendar as the left one. Arrow keys go from rung to rung; with Alt they carry the
 * rung along.
 */
export function RungList({
  rungs,
  trial,
  compared,
  group,
  groups,
  today,
  chosen,
  cut,
  dragged,
  over,
  places,
  canEdit,
  onChoose,
  onKey,
  onRenameStage,
}: Props) {
  const list = useRef<HTMLOListElement>(null);
  const last = chosen[chosen.length - 1];
  useEffect(() => {
    if (last) list.current?.querySelector(`[data-rung="${CSS.escape(last)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [last, rungs]);
  // A rung that is carried along by the keyboard keeps the focus at its new place.
  useLayoutEffect(() => {
    const focused = document.activeElement;
    if (last && focused instanceof HTMLElement && focused.classList.contains('rung'))
      focused.scrollIntoView({ block: 'nearest' });
  });

  const choose = useCallback(
    (id: string, event: MouseEvent) =>
      onChoose(id, event.shiftKey ? 'range' : event.ctrlKey || event.metaKey ? 'more' : 'one'),
    [onChoose],
  );
  const key = useCallback((id: string, event: KeyboardEvent) => onKey(id, event), [onKey]);
  const trials = new Map(trial?.rungs.map((r) => [r.id, r]));
  const chosenSet = new Set(chosen);
  const cutSet = new Set(cut);
  const draggedSet = new Set(dragged);
  const calendar = new Map<string, number>();
  for (const { rungId } of group?.warnings ?? []) calendar.set(rungId, (calendar.get(rungId) ?? 0) + 1);
  const { longBreak } = useFacts();
  const rail = railDates(rungs, group);
  const next = rungs.find((r) => group?.planned[r.id]);
  const previousDates = datesBefore(rail.map((r) => r.date));

  return (
    <ol
      className={`rails bg-white list-unstyled m-0 overflow-y-auto${canEdit ? ' can-edit' : ''}`}
      ref={list}
      aria-label={text('ladder.rungs')}
    >
      {rungs.map((rung, i) => {
        const date = rail[i]?.date;
        const previous = previousDates[i];
        return [
          rung.stage !== rungs[i - 1]?.stage && (
            <li key={`stage ${rung.id}`} className="stage sticky-top bg-body">
              <StageName rung={rung} canEdit={canEdit} onRename={onRenameStage} />
            </li>
          ),
          group && rung === next && today && (
            <li key="today" className="text-bg-primary small py-1 px-3">
              {text('rail.today', { group: group.name })}
            </li>
          ),
          group && date && previous && group.planned[rung.id] && (
            <RailGap
              key={`gap ${rung.id}`}
              text={gapsBefore(date, previous < (today ?? '') ? today! : previous, group.quiet, longBreak)}
            />
          ),
          <RungRow
            key={rung.id}
            rung={rung}
            number={i + 1}
            before={(trials.get(rungs[i - 1]?.id ?? '') ?? rungs[i - 1])?.textShare ?? 0}
            otherFrom={compared[i - 1]}
            otherTo={compared[i]}
            date={date}
            taughtOn={rail[i]?.outOfTurn ? group?.taught[rung.id] : undefined}
            isTaught={group?.taught[rung.id] !== undefined}
            isToday={date !== undefined && date === today}
            groups={groups
              .filter((g) => g.nextRungId === rung.id)
              .map((g) => g.name)
              .join(', ')}
            trial={trials.get(rung.id)}
            warnings={(trials.get(rung.id) ?? rung).warnings.length + (calendar.get(rung.id) ?? 0)}
            chosen={chosenSet.has(rung.id)}
            cut={cutSet.has(rung.id)}
            dragged={draggedSet.has(rung.id)}
            line={over?.id === rung.id ? over.side : null}
            place={places.get(rung.id) ?? null}
            canEdit={canEdit}
            onChoose={choose}
            onKey={key}
          />,
        ];
      })}
    </ol>
  );
}

function RailGap({ text: what }: { text: string }) {
  return what === '' ? null : <li className="rail-gap small py-1 px-3 quiet">{what}</li>;
}

/** The name of a stretch of rungs; where the ladder can be changed it is renamed in place. */
function StageName({
  rung,
  canEdit,
  onRename,
}: {
  rung: Rung;
  canEdit: boolean;
  onRename: (first: Rung, name: string) => void;
}) {
  const [name, setName] = useState<string | null>(null);
  if (name === null) {
    return (
      <h2 className="small m-0">
        {stageText(rung.stage)}
        {canEdit && (
          <button type="button" className="btn btn-link btn-sm py-0" onClick={() => setName(stageText(rung.stage))}>
            {text('ladder.renameStage')}
          </button>
        )}
      </h2>
    );
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() !== '' && name.trim() !== stageText(rung.stage)) onRename(rung, name.trim());
        setName(null);
      }}
    >
      <Form.Control
        size="sm"
        ref={(field: HTMLInputElement | null) => field?.focus()}
        aria-label={text('ladder.stageName')}
        maxLength={80}
        value={name}
        onChange={(e) => setName(e.target.value)}
        onBlur={() => setName(null)}
        onKeyDown={(e) => e.key === 'Escape' && setName(null)}
      />
    </form>
  );
}
