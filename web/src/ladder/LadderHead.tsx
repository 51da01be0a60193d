import { Kbd } from '../shell/Kbd';
import { Badge, Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { shareText, shortDayText, text } from '../text/text';
import type { Ladder } from './queries';
import type { DraftChanges } from './useDraftChanges';

interface Props {
  ladders: Schemas['LadderSummary'][];
  view: Ladder;
  summary: Schemas['LadderSummary'];
  groups: Schemas['GroupDates'][];
  group: Schemas['GroupDates'] | undefined;
  /** Null for a published version. */
  changes: DraftChanges | null;
  /** The ladder whose reading curve is drawn beside this one's; empty for none. */
  compareId: string;
  onCompare: (id: string) => void;
  onLadder: (id: string) => void;
  onVersion: (version: string | null) => void;
  onGroup: (id: string) => void;
  onPanel: (panel: 'tricky' | 'suggestions') => void;
  onDialog: (dialog: 'history' | 'publish' | 'add' | 'new') => void;
}

/** Which ladder and version is looked at, what it comes to, and what can be done with it. */
export function LadderHead({
  ladders,
  view,
  summary,
  groups,
  group,
  changes,
  compareId,
  onCompare,
  onLadder,
  onVersion,
  onGroup,
  onPanel,
  onDialog,
}: Props) {
  const { school } = useSchool();
  const lead = school.role === 'lead';
  const last = view.rungs[view.rungs.length - 1];
  const warned = view.rungs.filter((r) => r.warnings.length > 0).length;
  const draft = view.draft;
  // A draft is compared with its own published version too.
  const others = ladders.filter((l) => l.latestVersion > 0 && (l.id !== view.id || draft));
  return (
    <div className="mb-3">
      <div className="d-flex flex-wrap row-gap-2 column-gap-3 align-items-center">
        <h1 className={ladders.length > 1 ? 'visually-hidden' : 'fs-4 m-0'}>{view.name}</h1>
        {ladders.length > 1 && (
          <Form.Select
            className="mw-100 w-auto fs-5 fw-bold"
            aria-label={text('ladder.which')}
            value={view.id}
            onChange={(e) => onLadder(e.target.value)}
          >
            {ladders.map((l) => (
              <option key={l.id} value={l.id}>
                {l.name}
              </option>
            ))}
          </Form.Select>
        )}
        <Badge pill bg={draft ? 'warning-subtle' : 'light'} text="dark" className="version-tag border fw-normal small">
          {draft
            ? text('ladder.draft', { changes: draft.changes, version: view.version })
            : text('ladder.version', { version: view.version, latest: summary.latestVersion })}
        </Badge>
        <span className="d-flex flex-wrap gap-2 ms-auto">
          {draft && changes && (
            <>
              <Button
                size="sm"
                variant="outline-secondary"
                disabled={!draft.canUndo || changes.undo.isPending}
                onClick={() => changes.undo.mutate()}
              >
                {text('edit.undo')} <Kbd of="U" />
              </Button>
              <Button
                size="sm"
                variant="outline-secondary"
                disabled={!draft.canRedo || changes.redo.isPending}
                onClick={() => changes.redo.mutate()}
              >
                {text('edit.redo')} <Kbd of="Y" />
              </Button>
              <Button size="sm" variant="outline-secondary" onClick={() => onPanel('suggestions')}>
                {text('suggest.title')}
              </Button>
            </>
          )}
          <Button size="sm" variant="outline-secondary" onClick={() => onPanel('tricky')}>
            {text('tricky.title')} <Kbd of="T" />
          </Button>
          <Button size="sm" variant="outline-secondary" onClick={() => onDialog('history')}>
            {text('history.button')} <Kbd of="H" />
          </Button>
          {lead && !draft && (
            <Button size="sm" variant="outline-secondary" onClick={() => onDialog('new')}>
              {text('new.title')}
            </Button>
          )}
          {lead && !draft && (
            <Button size="sm" onClick={() => onVersion('draft')}>
              {text(summary.hasDraft ? 'edit.goOn' : 'edit.edit')} <Kbd of="E" />
            </Button>
          )}
          {draft && (
            <>
              {summary.latestVersion > 0 && (
                <Button size="sm" variant="outline-secondary" onClick={() => onVersion(null)}>
                  {text('edit.leave')}
                </Button>
              )}
              <Button size="sm" disabled={draft.changes === 0} onClick={() => onDialog('publish')}>
                {text('publish.button')} <Kbd of="P" />
              </Button>
            </>
          )}
        </span>
      </div>
      <div className="d-flex flex-wrap row-gap-2 column-gap-3 align-items-center justify-content-between quiet small mt-2">
        {last && (
          <span>
            {text('ladder.summary', { rungs: view.rungs.length, words: last.readable })} ·{' '}
            {text('ladder.share', { share: shareText(last.textShare) })} ·{' '}
            {warned === 0 ? text('ladder.noWarnings') : text('ladder.allWarnings', { count: warned })}
          </span>
        )}
        {others.length > 0 && (
          <label>
            {text('ladder.compare')}{' '}
            <Form.Select
              size="sm"
              className="w-auto d-inline-block"
              value={compareId}
              onChange={(e) => onCompare(e.target.value)}
            >
              <option value="">{text('ladder.compareNone')}</option>
              {others.map((l) => (
                <option key={l.id} value={l.id}>
                  {l.id === view.id ? text('ladder.comparePublished', { version: l.latestVersion }) : l.name}
                </option>
              ))}
            </Form.Select>
          </label>
        )}
        {groups.length > 0 && (
          <label>
            {text('rail.datesFor')}{' '}
            <Form.Select
              size="sm"
              className="w-auto d-inline-block"
              value={group?.groupId}
              onChange={(e) => onGroup(e.target.value)}
            >
              {groups.map((g) => (
                <option key={g.groupId} value={g.groupId}>
                  {g.name}
                </option>
              ))}
            </Form.Select>{' '}
            {group && (
              <span
                title={text('rail.spareWhy')}
                className={group.spare < 0 || !group.hasEnoughSpare ? 'text-warning-emphasis fw-bold' : ''}
              >
                {text(group.spare < 0 ? 'rail.missing' : group.hasEnoughSpare ? 'rail.spare' : 'rail.fewSpare', {
                  days: Math.abs(group.spare),
                  weeks: Math.ceil(Math.abs(group.spare) / 5),
                  last: group.lastDay ? shortDayText(group.lastDay) : '',
                })}
              </span>
            )}
          </label>
        )}
      </div>
    </div>
  );
}
