import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useMemo, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSearchParams } from 'react-router';
import { ApiProblem, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { useActions, type Action } from '../shell/actions';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { labelText, text, textOf } from '../text/text';
import { AddRungDialog } from './AddRungDialog';
import { ConflictNote } from './ConflictNote';
import { moved, stageSteps } from './editing';
import { HistoryDialog } from './HistoryDialog';
import { LadderFiles } from './LadderFiles';
import { LadderHead } from './LadderHead';
import { LadderNeeds } from './LadderNeeds';
import { NewLadderDialog } from './NewLadderDialog';
import { PublishDialog } from './PublishDialog';
import { RungActions } from './RungActions';
import { RungList } from './RungList';
import { RungPanel } from './RungPanel';
import { RowHeads } from './RungRow';
import { Suggestions } from './Suggestions';
import { TrialPanel } from './TrialPanel';
import { TrickyPanel } from './TrickyPanel';
import { useCarrying } from './useCarrying';
import { useChosen } from './useChosen';
import { mainLadder } from './mainLadder';
import { datesQuery, laddersQuery, ladderQuery, trialQuery, type Which } from './queries';
import { useDraftChanges } from './useDraftChanges';
import { usePlaces } from './usePlaces';

type Dialog = 'history' | 'publish' | 'add' | 'new' | null;

/**
 * The ladder: a picture that computes. Published versions are looked at; in the draft rungs are dragged, and the whole
 * ladder answers.
 */
export function LadderPage() {
  const { school } = useSchool();
  usePageTitle(text('ladder.title'));
  const [search] = useSearchParams();
  const ladders = useQuery(laddersQuery(school.id));
  const summary = ladders.data?.find((l) => l.id === search.get('ladder')) ?? mainLadder(ladders.data);
  const version = search.get('version');
  const inDraft = school.role === 'lead' && (version === 'draft' || summary?.latestVersion === 0);
  const which: Which | null = summary
    ? { ladderId: summary.id, version: inDraft ? 'draft' : Number(version) || summary.latestVersion }
    : null;
  const ladder = useQuery(ladderQuery(school.id, which));
  const view = ladder.data;
  const draft = view?.draft ? view : undefined;
  const changes = useDraftChanges(draft);
  const dates = useQuery(datesQuery(school.id, which, view?.draft?.version));
  const [compareId, setCompareId] = useState('');
  const comparedSummary = ladders.data?.find((l) => l.id === compareId);
  const compared = useQuery(
    ladderQuery(
      school.id,
      comparedSummary ? { ladderId: comparedSummary.id, version: comparedSummary.latestVersion } : null,
    ),
  );
  const [groupId, setGroupId] = useState<string | null>(null);
  const group = dates.data?.groups.find((g) => g.groupId === groupId) ?? dates.data?.groups[0];

  const [dialog, setDialog] = useState<Dialog>(null);
  const panel = search.get('panel');
  const rungs = useMemo(() => view?.rungs ?? [], [view]);
  const { active, choose, clear, put } = useChosen(rungs);
  const carrying = useCarrying({ rungs, draft, changes, active, choose });
  const { trying, act, take } = carrying;
  const trial = useQuery(trialQuery(school.id, draft, carrying.steps));
  // The marks answer for what is being carried; else for the rung that is chosen.
  const meant = trying?.kind === 'move' ? trying.ids : active;
  const places = usePlaces(draft, meant.length === 1 ? meant[0]! : null);
  const { stop } = carrying;
  const click = useCallback(
    (id: string, how: 'one' | 'more' | 'range') => {
      stop();
      choose(id, how);
    },
    [choose, stop],
  );

  const editing: Action[] = [
    { keys: ['u'], label: 'keys.u', run: () => changes.undo.mutate() },
    { keys: ['y'], label: 'keys.y', run: () => changes.redo.mutate() },
    { keys: ['a'], label: 'keys.add', run: () => setDialog('add') },
    { keys: ['p'], label: 'keys.publish', run: () => setDialog('publish') },
    { keys: ['Alt'], shown: 'Alt ↑ ↓', label: 'keys.alt' },
    { keys: ['Control'], shown: 'Ctrl X V', label: 'keys.cut' },
    { keys: ['Delete'], shown: 'Del', label: 'keys.del' },
  ];
  const looking: Action[] = [
    { keys: ['ArrowUp'], shown: '↑ ↓', label: 'keys.arrows' },
    { keys: ['e'], label: 'keys.e', run: () => put({ version: 'draft' }) },
    { keys: ['t'], label: 'keys.t', run: () => put({ panel: panel === 'tricky' ? null : 'tricky' }) },
    { keys: ['h'], label: 'keys.h', run: () => setDialog('history') },
  ];
  useActions(editing, draft !== undefined && dialog === null);
  useActions(looking, dialog === null);

  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  if (ladders.isPending) return <Loading />;
  if (ladders.error) return <ErrorNote problem={ladders.error} retry={() => void ladders.refetch()} />;
  if (!summary || !which) {
    return (
      <>
        <h1>{text('nav.ladder')}</h1>
        <p className="py-2">{text('ladder.empty')}</p>
        {school.role === 'lead' && <Button onClick={() => setDialog('new')}>{text('new.title')}</Button>}
        {dialog === 'new' && (
          <NewLadderDialog
            ladders={[]}
            onMade={(made) => {
              setDialog(null);
              put({ ladder: made.id });
            }}
            onHide={() => setDialog(null)}
          />
        )}
      </>
    );
  }
  if (ladder.error) return <ErrorNote problem={ladder.error} retry={() => void ladder.refetch()} />;
  if (!view) return <Loading />;

  const carriedIds = trying?.kind === 'move' ? trying.ids : [];
  const shown =
    trying?.kind === 'move' && (trying.by === 'keys' || changes.change.isPending)
      ? moved(rungs, trying.ids, trying.after)
      : rungs;
  const chosenRung = rungs.find((r) => r.id === active[active.length - 1]);
  const chosenAt = chosenRung ? rungs.indexOf(chosenRung) : -1;
  const problem = changes.change.error ?? changes.undo.error ?? changes.redo.error;
  const conflict =
    changes.change.error instanceof ApiProblem && changes.change.error.code === 'changed-meanwhile'
      ? changes.change.error
      : null;
  const tryTitle =
    trying?.kind === 'tricky'
      ? text('trial.tricky', {
          word: trying.word,
          label: labelText(rungs.find((r) => r.id === trying.rung)?.label ?? ''),
        })
      : text('trial.move', {
          label: labelText(rungs.find((r) => r.id === carriedIds[0])?.label ?? ''),
          count: carriedIds.length,
        });
  return (
    <>
      <LadderHead
        ladders={ladders.data}
        view={view}
        summary={summary}
        groups={dates.data?.groups ?? []}
        group={group}
        changes={draft ? changes : null}
        compareId={compareId}
        onCompare={setCompareId}
        onLadder={(id) => {
          clear();
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
        <p key={p.code} className="flag-note py-2 px-3 rounded">
          {textOf('problem', p.code, { 0: Number(p.arguments[0] ?? 0) })}
        </p>
      ))}
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragMove={carrying.onDrag}
        onDragOver={carrying.onDrag}
        onDragEnd={() => carrying.endDrag(true)}
        onDragCancel={() => carrying.endDrag(false)}
        accessibility={{
          screenReaderInstructions: { draggable: '' },
          announcements: { onDragStart: none, onDragOver: none, onDragEnd: none, onDragCancel: none },
        }}
      >
        <div className="ladder-page d-grid gap-3 align-items-start">
          {rungs.length > 0 ? (
            <div>
              <RowHeads canEdit={draft !== undefined} />
              <RungList
                rungs={shown}
                trial={trying ? trial.data : undefined}
                compared={comparedSummary ? (compared.data?.rungs.map((r) => r.textShare) ?? []) : []}
                group={group}
                groups={dates.data?.groups ?? []}
                today={dates.data?.today}
                chosen={active}
                cut={carrying.cut}
                dragged={carrying.dragged}
                over={carrying.over}
                places={places.marks}
                canEdit={draft !== undefined}
                onChoose={click}
                onKey={carrying.onKey}
                onRenameStage={(first, name) => act('stage', stageSteps(rungs, first, name))}
              />
            </div>
          ) : (
            <div className="panel">
              <Button onClick={() => setDialog('add')}>{text('edit.addFirst')}</Button>
            </div>
          )}
          <aside className="panel rung-panel position-sticky overflow-y-auto">
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
                      places={places.answer}
                      rung={chosenRung}
                      next={rungs[chosenAt + 1]}
                      chosen={active}
                      onDo={act}
                      onTake={take}
                      onCut={() => carrying.setCut([...active])}
                      onAdd={() => setDialog('add')}
                    />
                  )
                }
              />
            ) : (
              <>
                <p className="quiet">{text(draft ? 'ladder.chooseToChange' : 'ladder.choose')}</p>
                <LadderNeeds ladder={view} group={group} onChoose={(id) => choose(id)} />
                {draft && rungs.length > 1 && <Suggestions ladder={draft} onTake={take} />}
              </>
            )}
          </aside>
        </div>
      </DndContext>
      <LadderFiles view={view} />
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
      {dialog === 'publish' && draft && (
        <PublishDialog
          ladder={draft}
          groups={dates.data?.groups ?? []}
          changes={changes}
          onHide={() => setDialog(null)}
        />
      )}
      {dialog === 'add' && draft && <AddRungDialog after={chosenRung} onDo={act} onHide={() => setDialog(null)} />}
      {dialog === 'new' && (
        <NewLadderDialog
          ladders={ladders.data}
          onMade={(made) => {
            setDialog(null);
            clear();
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
  const labels = edit.steps
    .flatMap((s) => ('id' in s ? [s.id] : 'word' in s ? [s.word] : []))
    .map((id) => labelText(rungs.find((r) => r.id === id)?.label ?? id));
  return `${textOf('change', edit.name)}: ${[...new Set(labels)].join(', ')}`;
}

const none = () => undefined;
