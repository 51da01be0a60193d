import { useId, useState, type KeyboardEvent } from 'react';
import { Button } from 'react-bootstrap';
import { text } from '../text/text';
import { BanDialog } from './BanDialog';
import { ItemShown } from './ItemShown';
import type { Activity, Command } from './kinds';
import { whyOf, type TileItem } from './why';

interface Props {
  item: TileItem;
  kind: Activity['kind'];
  broken: boolean;
  editable: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}

const SMALL = { size: 'sm', variant: 'outline-primary' } as const;

/** One thing of an activity. Focus it, then W: why this one, A: another, K: keep, N: never again. */
export function ItemTile({ item, kind, broken, editable, busy, onCommand }: Props) {
  const [open, setOpen] = useState(false);
  const [banning, setBanning] = useState(false);
  const panel = useId();
  const word = 'word' in item && item.$type !== 'made-up' ? item.word : undefined;
  const another = () => !busy && onCommand({ type: 'replace-one', itemId: item.id });
  const keep = () => !busy && onCommand({ type: 'keep', itemId: item.id, kept: !item.kept });
  const onKey = (event: KeyboardEvent) => {
    const ban = editable && word !== undefined ? () => setBanning(true) : undefined;
    const action = {
      w: () => setOpen(!open),
      a: editable ? another : undefined,
      k: editable ? keep : undefined,
      n: ban,
      Escape: () => setOpen(false),
    }[event.key];
    if (!action || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    action();
  };
  const meaning = item.$type === 'word' ? item.meaning : null;
  return (
    <div
      className={`tile position-relative rounded bg-white tile-of-${item.$type}${item.kept ? ' kept' : ''}${broken ? ' broken' : ''}`}
      data-word={word}
    >
      <button
        type="button"
        className="tile-word text-body border-0 rounded literacy"
        aria-expanded={open}
        aria-controls={panel}
        onClick={() => setOpen(!open)}
        onKeyDown={onKey}
      >
        <ItemShown item={item} kind={kind} />
      </button>
      {meaning && <span className="new-word" aria-hidden="true" />}
      {item.kept && <span className="kept-flag position-absolute rounded-pill py-0 px-2">{text('lesson.kept')}</span>}
      {open && (
        <div className="why border-top py-2 px-3 small" id={panel}>
          <p>
            <strong>{text('lesson.why')}</strong>
          </p>
          {whyOf(item).map((line) => (
            <p key={line}>{line}</p>
          ))}
          {editable && (
            <p className="d-flex flex-wrap gap-2">
              <Button {...SMALL} disabled={busy} onClick={another} onKeyDown={onKey}>
                {text('lesson.another')} <kbd>A</kbd>
              </Button>
              <Button
                {...SMALL}
                active={item.kept}
                disabled={busy}
                aria-pressed={item.kept}
                onClick={keep}
                onKeyDown={onKey}
              >
                {text('lesson.keep')} <kbd>K</kbd>
              </Button>
              <Button
                {...SMALL}
                disabled={busy}
                aria-label={text('lesson.dropItem')}
                onClick={() => onCommand({ type: 'drop-item', itemId: item.id })}
              >
                {text('lesson.drop')}
              </Button>
              {word !== undefined && (
                <Button {...SMALL} disabled={busy} onClick={() => setBanning(true)} onKeyDown={onKey}>
                  {text('lesson.ban')} <kbd>N</kbd>
                </Button>
              )}
            </p>
          )}
        </div>
      )}
      {banning && word !== undefined && (
        <BanDialog
          word={word}
          onHide={() => setBanning(false)}
          onBan={(forSchool, reason) => onCommand({ type: 'ban', itemId: item.id, forSchool, text: reason })}
        />
      )}
    </div>
  );
}
