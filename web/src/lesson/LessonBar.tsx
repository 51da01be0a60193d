import { Button, Dropdown } from 'react-bootstrap';
import { Link } from 'react-router';
import { StatusBadge } from '../shell/StatusBadge';
import { useNarrow } from '../shell/useNarrow';
import { text } from '../text/text';
import type { LessonView } from './kinds';

interface Props {
  view: LessonView;
  say: boolean;
  canUndo: boolean;
  canRedo: boolean;
  onSay: () => void;
  onCover: (() => void) | null;
  onCopy: (() => void) | null;
  onUndo: () => void;
  onRedo: () => void;
}

type Tool = { label: string; to?: string; onClick?: () => void };

/**
 * Under a lesson's head: the days beside it, how it stands, and what is used less; on a phone the last goes into a
 * menu.
 */
export function LessonBar({ view, say, canUndo, canRedo, onSay, onCover, onCopy, onUndo, onRedo }: Props) {
  const narrow = useNarrow();
  const tools: Tool[] = [
    { label: text('lesson.gather'), to: `/groups/${view.groupId}/gather/${view.date}` },
    { label: text('lesson.sheets'), to: `/groups/${view.groupId}/printing/${view.date}` },
    { label: text('lesson.print'), to: `/groups/${view.groupId}/lessons/${view.date}/print` },
    ...(onCover ? [{ label: text('lesson.cover'), onClick: onCover }] : []),
    ...(onCopy ? [{ label: text('lesson.copy'), onClick: onCopy }] : []),
  ];
  return (
    <div className="flex-wrap d-flex align-items-center row-gap-1 column-gap-4 border-bottom py-1 px-0 mb-1">
      <span className="d-flex align-items-center gap-3">
        {view.previous && (
          <Link to={`/groups/${view.groupId}/lessons/${view.previous}`}>← {text('lesson.previous')}</Link>
        )}
        {view.next && <Link to={`/groups/${view.groupId}/lessons/${view.next}`}>{text('lesson.next')} →</Link>}
      </span>
      <span className="d-flex align-items-center gap-3">
        <StatusBadge status={view.status ?? 'planned'} />
        <span className="quiet">
          {text('lesson.minutes', { minutes: view.minutes, available: view.lessonMinutes })}
        </span>
        {view.minutes > view.lessonMinutes && (
          <strong className="text-danger">{text('lesson.over', { minutes: view.minutes - view.lessonMinutes })}</strong>
        )}
      </span>
      <span className="flex-grow-1 justify-content-between justify-content-md-end d-flex flex-wrap align-items-center">
        <Button variant="link" aria-pressed={say} onClick={onSay}>
          {text(say ? 'lesson.sayHide' : 'lesson.say')}
        </Button>
        {!narrow && tools.map((tool) => <ToolLink key={tool.label} tool={tool} />)}
        <Button variant="link" disabled={!canUndo} onClick={onUndo}>
          {text('lesson.undo')}
        </Button>
        {canRedo && (
          <Button variant="link" onClick={onRedo}>
            {text('lesson.redo')}
          </Button>
        )}
        {narrow && (
          <Dropdown align="end">
            <Dropdown.Toggle variant="outline-secondary" size="sm">
              {text('lesson.menu')}
            </Dropdown.Toggle>
            <Dropdown.Menu>
              {tools.map((tool) =>
                tool.to ? (
                  <Dropdown.Item key={tool.label} as={Link} to={tool.to}>
                    {tool.label}
                  </Dropdown.Item>
                ) : (
                  <Dropdown.Item key={tool.label} as="button" onClick={tool.onClick}>
                    {tool.label}
                  </Dropdown.Item>
                ),
              )}
            </Dropdown.Menu>
          </Dropdown>
        )}
      </span>
    </div>
  );
}

function ToolLink({ tool }: { tool: Tool }) {
  return tool.to ? (
    <Link className="btn btn-link" to={tool.to}>
      {tool.label}
    </Link>
  ) : (
    <Button variant="link" onClick={tool.onClick}>
      {tool.label}
    </Button>
  );
}
