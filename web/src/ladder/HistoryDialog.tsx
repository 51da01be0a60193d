import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { Dialog } from '../shell/Dialog';
import { lineText, momentText, text, textOf } from '../text/text';
import { differenceQuery, historyQuery, type Ladder } from './queries';
import type { DraftChanges } from './useDraftChanges';

/** The ladder's named versions, what changed between them, and the changes of the draft. */
export function HistoryDialog({
  ladder,
  changes,
  onLook,
  onHide,
}: {
  ladder: Ladder;
  changes: DraftChanges | null;
  onLook: (version: number) => void;
  onHide: () => void;
}) {
  const { school } = useSchool();
  const [open, setOpen] = useState<number | null>(null);
  const history = useQuery(historyQuery(school.id, ladder.id));
  return (
    <Dialog title={text('history.title', { name: ladder.name })} onHide={onHide} cancel={text('keys.close')} size="lg">
      {history.isPending && <Loading />}
      {history.error && <ErrorNote problem={history.error} retry={() => void history.refetch()} />}
      {history.data && history.data.changes.length > 0 && (
        <>
          <h3>{text('history.draft')}</h3>
          <ul className="list-unstyled">
            {history.data.changes.map((c) => (
              <li key={c.version} className="border-top py-2">
                <span className="quiet">
                  {text('history.by', { name: c.by, at: momentText(c.at) })} · {textOf('change', c.name)}
                </span>
                {c.lines.slice(0, 6).map((line, i) => (
                  <div key={i}>{lineText(line)}</div>
                ))}
                {c.lines.length > 6 && (
                  <div className="quiet">{text('history.more', { count: c.lines.length - 6 })}</div>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
      {history.data && (
        <>
          <h3>{text('history.versions')}</h3>
          <ul className="list-unstyled">
            {history.data.versions.map((v) => (
              <li key={v.version} className="border-top py-2">
                <strong>
                  {text('history.version', { version: v.version, name: v.name || text('history.unnamed') })}
                </strong>{' '}
                <span className="quiet">
                  {text('history.by', { name: v.by ?? '', at: momentText(v.publishedAt) })}
                  {v.groups.length > 0 && ` · ${text('history.groups', { groups: v.groups.join(', ') })}`}
                </span>
                <div>
                  <Button size="sm" variant="link" className="p-0 me-3" onClick={() => onLook(v.version)}>
                    {text('history.look')}
                  </Button>{' '}
                  {v.version > 1 && (
                    <Button
                      size="sm"
                      variant="link"
                      aria-expanded={open === v.version}
                      onClick={() => setOpen(open === v.version ? null : v.version)}
                    >
                      {text('history.changed', { before: v.version - 1 })}
                    </Button>
                  )}
                  {changes && (
                    <Button
                      size="sm"
                      variant="link"
                      onClick={() => changes.restore.mutate(v.version, { onSuccess: onHide })}
                    >
                      {text('history.restore')}
                    </Button>
                  )}
                </div>
                {open === v.version && <Difference ladder={ladder} from={v.version - 1} to={v.version} />}
              </li>
            ))}
          </ul>
        </>
      )}
      {changes?.restore.error && <ErrorNote problem={changes.restore.error} />}
    </Dialog>
  );
}

/** What changed from one version to another, or to the draft, in sentences. */
export function Difference({ ladder, from, to }: { ladder: Ladder; from: number; to: number | 'draft' }) {
  const { school } = useSchool();
  const lines = useQuery(differenceQuery(school.id, ladder, from, to));
  if (lines.isPending) return <Loading />;
  if (lines.error) return <ErrorNote problem={lines.error} />;
  return (
    <ul>
      {lines.data.length === 0 && <li className="quiet">{text('history.same')}</li>}
      {lines.data.map((line, i) => (
        <li key={i}>{lineText(line)}</li>
      ))}
    </ul>
  );
}
