import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors, type DragMoveEvent, type DragOverEvent } from '@dnd-kit/core';
import { useCallback, useLayoutEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSearchParams } from 'react-router';
import { ApiProblem, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { useKeys } from '../shell/keys';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { labelText, text, textOf } from '../text/text';
import { AddRungDialog } from './AddRungDialog';
import { ConflictNote } from './ConflictNote';
import { anchorAt, anchorOf, moved, moveSteps, stageSteps, staysPut, type Anchor, type Step } from './editing';
import { HistoryDialog } from './HistoryDialog';
import { LadderHead } from './LadderHead';
import { NewLadderDialog } from './NewLadderDialog';
import { PublishDialog } from './PublishDialog';
import { RungActions } from './RungActions';
import { RungList } from './RungList';
import { RungPanel } from './RungPanel';
import { RowHeads } from './RungRow';
import { Suggestions } from './Suggestions';
import { TrialPanel } from './TrialPanel';
import { TrickyPanel } from './TrickyPanel';
import { mainLadder, useDates, useDraftChanges, useLadders, useLadderView, useTrial, type Which } from './useLadder';
import { usePlaces } from './usePlaces';

/** A change that is being tried: rungs carried to another place, or a tricky word to another rung. */
type Trying = { kind: 'move'; ids: string[]; after: Anchor; by: 'keys' | 'mouse' } | { kind: 'tricky'; word: string; rung: string };

type Dialog = 'history' | 'publish' | 'add' | 'new' | null;

const stepsOf = (trying: Trying, rungs: Schemas['RungView'][]): Step[] =>
  trying.kind === 'move' ? moveSteps(rungs, trying.ids, trying.after) : [{ $type: 'tricky', word: trying.word, rung: trying.rung, at: null }];

/** The ladder: a picture that computes. Published versions are looked at; in the draft rungs are dragged, and the whole ladder answers. */
export function LadderPage() {
  const { school } = useSchool();
  usePageTitle(text('ladder.title'));
  const [search, setSearch] = useSearchParams();
  const ladders = useLadders();
  const summary = ladders.data?.find((l) => l.id === search.get('ladder')) ?? mainLadder(ladders.data);
  const version = search.get('version');
  const inDraft = school.role === 'lead' && (version === 'draft' || summary?.latestVersion === 0);
  const which: Which | null = summary ? { ladderId: summary.id, version: inDraft ? 'draft' : Number(version) || summary.latestVersion } : null;
  const ladder = useLadderView(which);
  const view = ladder.data;
  const draft = view?.draft ? view : undefined;
  const changes = useDraftChanges(draft);
  const dates = useDates(which, view?.draft?.version);
  const [groupId, setGroupId] = useState<string | null>(null);
  const group = dates.data?.groups.find((g) => g.groupId === groupId) ?? dates.data?.groups[0];

  const [chosen, setChosen] = useState<string[]>([]);
  const [cut, setCut] = useState<string[]>([]);
  const [trying, setTrying] = useState<Trying | null>(null);
  const [dragged, setDragged] = useState<string[]>([]);
  const [over, setOver] = useState<{ id: string; side: 'above' | 'below' } | null>(null);
  const [dialog, setDialog] = useState<Dialog>(null);
  const panel = search.get('panel');
  const rungs = useMemo(() => view?.rungs ?? [], [view]);
  const steps = useMemo(() => (trying ? stepsOf(trying, rungs) : null), [trying, rungs]);
  const trial = useTrial(draft, steps);
  const single = chosen.length === 1 ? chosen[0]! : null;
  const places = usePlaces(draft, single);

  const put = (values: Record<string, string | null>) =>
    setSearch(
      (old) => {
        const next = new URLSearchParams(old);
        for (const [key, value] of Object.entries(values)) {
          if (value === null) next.delete(key);
          else next.set(key, value);
        }
        return next;
      },
      { replace: true },
    );
  const choose = useCallback(
    (id: string, how: 'one' | 'more' | 'range' = 'one') => {
      setChosen((old) => {
        if (how === 'more') return old.includes(id) ? old.filter((o) => o !== id) : [...old, id];
        if (how === 'range' && old.length > 0) {
          const [from, to] = [rungs.findIndex((r) => r.id === old[0]), rungs.findIndex((r) => r.id === id)];
          const run = rungs.slice(Math.min(from, to), Math.max(from, to) + 1).map((r) => r.id);
          return from <= to ? run : run.reverse();
        }
        return [id];
      });
      setSearch(
        (old) => {
          const next = new URLSearchParams(old);
          next.set('rung', id);
          next.delete('panel');
          return next;
        },
        { replace: true },
      );
    },
    [rungs, setSearch],
  );
  const fromAddress = search.get('rung');
  const active = chosen.length > 0 ? chosen.filter((id) => rungs.some((r) => r.id === id)) : rungs.some((r) => r.id === fromAddress) ? [fromAddress!] : [];

  const act = (name: string, what: Step[], then?: string) => {
    if (what.length === 0) return;
    changes.change.mutate(
      { name, steps: what },
      {
        onSuccess: () => {
          if (then) choose(then);
        },
        onSettled: () => setTrying(null),
      },
    );
  };
  const take = (move: Schemas['MoveView']) => act('suggestion', [{ $type: 'move', id: move.rungId, after: move.after ?? null }], move.rungId);
  const drop = () => {
    if (!trying) return;
    if (trying.kind === 'move' && staysPut(rungs, trying.ids, trying.after)) setTrying(null);
    else act(trying.kind === 'move' ? 'move' : 'tricky', stepsOf(trying, rungs), trying.kind === 'move' && trying.by === 'mouse' ? trying.ids[0] : undefined);
  };
  const paste = () => {
    const after = active[active.length - 1];
    if (cut.length === 0 || !after || cut.includes(after)) return;
    act('move', moveSteps(rungs, cut, after));
    setCut([]);
  };

  const focusRung = (id: string) => requestAnimationFrame(() => document.querySelector<HTMLElement>(`[data-rung="${CSS.escape(id)}"] .rung`)?.focus());
  const onKey = (id: string, event: KeyboardEvent) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    // Keys act on the rung that has the focus, and on those chosen with it.
    const meant = active.includes(id) ? active : [id];
    if (by !== undefined && event.altKey && draft) {
      event.preventDefault();
      const ids = trying?.kind === 'move' ? trying.ids : meant;
      const after = anchorAt(rungs, ids, trying?.kind === 'move' ? trying.after : anchorOf(rungs, ids), by);
      if (after !== undefined) setTrying({ kind: 'move', ids, after, by: 'keys' });
      focusRung(id);
    } else if (by !== undefined && !event.altKey) {
      event.preventDefault();
      if (trying) return;
      const to = rungs[rungs.findIndex((r) => r.id === id) + by];
      if (!to) return;
      choose(to.id, event.shiftKey ? 'range' : 'one');
      focusRung(to.id);
    } else if (trying && event.key === 'Enter') {
      event.preventDefault();
      drop();
      focusRung(id);
    } else if (trying && event.key === 'Escape') {
      event.preventDefault();
      setTrying(null);
      focusRung(id);
    } else if (draft && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'x') {
      event.preventDefault();
      setCut(meant);
    } else if (draft && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'v') {
      event.preventDefault();
      paste();
    } else if (draft && event.key === 'Delete') {
      event.preventDefault();
      act(
        'remove',
        meant.map((one) => ({ $type: 'remove', id: one })),
      );
    } else if (event.key === 'Escape') {
      setCut([]);
    }
  };
  const stable = useStable(onKey);

  useKeys(
    {
      u: () => changes.undo.mutate(),
      y: () => changes.redo.mutate(),
      a: () => setDialog('add'),
      p: () => setDialog('publish'),
    },
    draft !== undefined && dialog === null,
  );
  useKeys({ e: () => put({ version: 'draft' }), t: () => put({ panel: panel === 'tricky' ? null : 'tricky' }), h: () => setDialog('history') }, dialog === null);

  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const carried = (event: DragMoveEvent | DragOverEvent) => {
    const [what, ...rest] = String(event.active.id).split(' ');
    return { what, id: rest.join(' ') };
  };
  const onDragMove = (event: DragMoveEvent | DragOverEvent) => {
    const { what, id } = carried(event);
    const target = event.over ? String(event.over.id).slice('row '.length) : null;
    if (target === null) {
      setOver(null);
      setTrying(null);
      return;
    }
    if (what === 'tricky') {
      setOver({ id: target, side: 'below' });
      setTrying((old) => (old?.kind === 'tricky' && old.rung === target ? old : { kind: 'tricky', word: id, rung: target }));
      return;
    }
    const ids = active.includes(id) ? active : [id];
    if (ids.includes(target)) {
      setOver(null);
      setTrying(null);
      return;
    }
    const [from, to] = [rungs.findIndex((r) => r.id === ids[0]), rungs.findIndex((r) => r.id === target)];
    const after = to > from ? target : (rungs[to - 1]?.id ?? null);
    setDragged(ids);
    setOver({ id: target, side: to > from ? 'below' : 'above' });
    setTrying((old) => (old?.kind === 'move' && old.after === after ? old : { kind: 'move', ids, after, by: 'mouse' }));
  };
  const endDrag = (keep: boolean) => {
    setOver(null);
    setDragged([]);
    if (keep) drop();
    else setTrying(null);
  };

  if (ladders.isPending) return <Loading />;
  if (ladders.error) return <ErrorNote problem={ladders.error} retry={() => void ladders.refetch()} />;
  if (!summary || !which) {
    return (
      <>
        <p className="empty">{text('ladder.empty')}</p>
        {school.role === 'lead' && <Button onClick={() => setDialog('new')}>{text('new.title')}</Button>}
        {dialog === 'new' && <NewLadderDialog ladders={[]} onMade={(made) => put({ ladder: made.id })} onHide={() => setDialog(null)} />}
      </>
    );
  }
  if (ladder.error) return <ErrorNote problem={ladder.error} retry={() => void ladder.refetch()} />;
  if (!view) return <Loading />;

  const carriedIds = trying?.kind === 'move' ? trying.ids : [];
  const shown = trying?.kind === 'move' && (trying.by === 'keys' || changes.change.isPending) ? moved(rungs, trying.ids, trying.after) : rungs;
  const chosenRung = rungs.find((r) => r.id === active[active.length - 1]);
  const chosenAt = chosenRung ? rungs.indexOf(chosenRung) : -1;
  const problem = changes.change.error ?? changes.undo.error ?? changes.redo.error;
  const conflict = changes.change.error instanceof ApiProblem && changes.change.error.code === 'changed-meanwhile' ? changes.change.error : null;
  const tryTitle =
    trying?.kind === 'tricky'
      ? text('trial.tricky', { word: trying.word, label: labelText(rungs.find((r) => r.id === trying.rung)?.label ?? '') })
      : text('trial.move', { label: labelText(rungs.find((r) => r.id === carriedIds[0])?.label ?? ''), count: carriedIds.length });
  return (
    <>
      <LadderHead
        ladders={ladders.data}
        view={view}
        summary={summary}
        groups={dates.data?.groups ?? []}
        group={group}
        changes={draft ? changes : null}
        onLadder={(id) => {
          setChosen([]);
          put({ ladder: id, version: null, rung: null, panel: null });
        }}
        onVersion={(to) => put({ version: to })}
        onGroup={setGroupId}
        onPanel={(to) => put({ panel: panel === to ? null : to })}
        onDialog={setDialog}
      />
      {conflict && changes.change.variables ? (
        <ConflictNote
          problem={conflict}
          mine={mineText(changes.change.variables, rungs)}
          onAgain={() => changes.change.mutate(changes.change.variables!)}
          onLeave={() => changes.change.reset()}
        />
      ) : (
        problem && <ErrorNote problem={problem} />
      )}
      {view.problems.map((p) => (
        <p key={p.code} className="flag-note">
          {textOf('problem', p.code, { 0: Number(p.arguments[0] ?? 0) })}
        </p>
      ))}
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragMove={onDragMove}
        onDragOver={onDragMove}
        onDragEnd={() => endDrag(true)}
        onDragCancel={() => endDrag(false)}
        accessibility={{ screenReaderInstructions: { draggable: '' }, announcements: { onDragStart: none, onDragOver: none, onDragEnd: none, onDragCancel: none } }}
      >
        <div className="ladder-page">
          {rungs.length > 0 ? (
            <div>
            <RowHeads canEdit={draft !== undefined} />
            <RungList
              rungs={shown}
              trial={trying ? trial.data : undefined}
              group={group}
              groups={dates.data?.groups ?? []}
              today={dates.data?.today}
              chosen={active}
              cut={cut}
              dragged={dragged}
              over={over}
              places={places}
              canEdit={draft !== undefined}
              onChoose={choose}
              onKey={stable}
              onRenameStage={(first, name) => act('stage', stageSteps(rungs, first, name))}
            />
            </div>
          ) : (
            <div className="panel">
              <Button onClick={() => setDialog('add')}>{text('edit.addFirst')}</Button>
            </div>
          )}
          <aside className="panel rung-panel" aria-live="polite">
            {trying ? (
              <TrialPanel title={tryTitle} rungs={rungs} trial={trial.data} problem={trial.error} />
            ) : panel === 'tricky' ? (
              <TrickyPanel ladder={view} group={group} onDo={draft ? act : null} onChoose={(id) => choose(id)} />
            ) : panel === 'suggestions' && draft ? (
              <Suggestions ladder={draft} onTake={take} />
            ) : chosenRung ? (
              <RungPanel
                key={chosenRung.id}
                ladder={view}
                rung={chosenRung}
                number={chosenAt + 1}
                calendar={group?.warnings.filter((w) => w.rungId === chosenRung.id).map((w) => w.warning) ?? []}
                actions={
                  draft && (
                    <RungActions
                      ladder={draft}
                      rung={chosenRung}
                      next={rungs[chosenAt + 1]}
                      chosen={active}
                      onDo={act}
                      onTake={take}
                      onCut={() => setCut(active)}
                      onAdd={() => setDialog('add')}
                    />
                  )
                }
              />
            ) : (
              <>
                <p className="quiet empty">{text(draft ? 'ladder.chooseToChange' : 'ladder.choose')}</p>
                {draft && rungs.length > 1 && <Suggestions ladder={draft} onTake={take} />}
              </>
            )}
          </aside>
        </div>
      </DndContext>
      {dialog === 'history' && (
        <HistoryDialog
          ladder={view}
          changes={draft ? changes : null}
          onLook={(v) => {
            setDialog(null);
            put({ version: String(v) });
          }}
          onHide={() => setDialog(null)}
        />
      )}
      {dialog === 'publish' && draft && <PublishDialog ladder={draft} groups={dates.data?.groups ?? []} changes={changes} onHide={() => setDialog(null)} />}
      {dialog === 'add' && draft && <AddRungDialog after={chosenRung} onDo={act} onHide={() => setDialog(null)} />}
      {dialog === 'new' && (
        <NewLadderDialog
          ladders={ladders.data}
          onMade={(made) => {
            setDialog(null);
            setChosen([]);
            put({ ladder: made.id, version: 'draft', rung: null });
          }}
          onHide={() => setDialog(null)}
        />
      )}
      <Form.Text className="visually-hidden" aria-live="polite">
        {trying ? tryTitle : ''}
      </Form.Text>
    </>
  );
}

/** What a change was to do, for who made it. */
function mineText(edit: Schemas['LadderEdit'], rungs: Schemas['RungView'][]): string {
  const labels = edit.steps.flatMap((s) => ('id' in s ? [s.id] : 'word' in s ? [s.word] : [])).map((id) => labelText(rungs.find((r) => r.id === id)?.label ?? id));
  return `${textOf('change', edit.name)}: ${[...new Set(labels)].join(', ')}`;
}

const none = () => undefined;

/** A function that stays the same while what it does is always the latest: rows are not drawn again because of it. */
function useStable<A extends unknown[]>(latest: (...args: A) => void) {
  const held = useRef(latest);
  useLayoutEffect(() => {
    held.current = latest;
  });
  return useCallback((...args: A) => held.current(...args), []);
}
