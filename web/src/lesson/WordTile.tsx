import { useId, useState, type KeyboardEvent } from 'react';
import { reasonText, text } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { BanDialog } from './BanDialog';
import type { Command, WordItem } from './lesson';

interface Props {
  item: WordItem;
  broken: boolean;
  editable: boolean;
  busy: boolean;
  onCommand: (command: Command) => void;
}

/** A word with its sound marks. Focus it, then W: why this one, A: another, K: keep, N: never again. */
export function WordTile({ item, broken, editable, busy, onCommand }: Props) {
  const [open, setOpen] = useState(false);
  const [banning, setBanning] = useState(false);
  const panel = useId();
  const another = () => !busy && onCommand({ type: 'replace-one', itemId: item.id });
  const keep = () => !busy && onCommand({ type: 'keep', itemId: item.id, kept: !item.kept });
  const onKey = (event: KeyboardEvent) => {
    const action = { w: () => setOpen(!open), a: editable ? another : undefined, k: editable ? keep : undefined, n: editable ? () => setBanning(true) : undefined, Escape: () => setOpen(false) }[event.key];
    if (!action || event.ctrlKey || event.metaKey || event.altKey) return;
    event.preventDefault();
    event.stopPropagation();
    action();
  };
  const trickyLetters = item.tricky.map((i) => item.graphemes.split('|')[i]).join(', ');
  return (
    <div className={`tile${item.kept ? ' kept' : ''}${broken ? ' broken' : ''}`} data-word={item.word}>
      <button type="button" className="tile-word literacy" aria-expanded={open} aria-controls={panel} onClick={() => setOpen(!open)} onKeyDown={onKey}>
        <MarkedWord word={item.word} marks={item.marks} tricky={item.tricky} />
      </button>
      {item.meaning && <span className="new-word" aria-hidden="true" />}
      {item.kept && <span className="kept-flag">{text('lesson.kept')}</span>}
      {open && (
        <div className="why" id={panel}>
          <p>
            <strong>{text('lesson.why')}</strong>
          </p>
          <p>
            /{item.phonemes.replaceAll('|', ' ')}/ · {item.reasons.map(reasonText).join(' · ')}
            {trickyLetters && ` · ${text('tricky.part', { letters: trickyLetters })}`}
          </p>
          {item.meaning && <p>{text('lesson.means', { meaning: item.meaning })}</p>}
          {item.sentence && <p>{text('lesson.dictated', { sentence: item.sentence })}</p>}
          {editable && (
            <p className="tile-actions">
              <button type="button" disabled={busy} onClick={another} onKeyDown={onKey}>
                {text('lesson.another')} <kbd>A</kbd>
              </button>
              <button type="button" disabled={busy} aria-pressed={item.kept} onClick={keep} onKeyDown={onKey}>
                {text('lesson.keep')} <kbd>K</kbd>
              </button>
              <button type="button" disabled={busy} aria-label={text('lesson.dropItem')} onClick={() => onCommand({ type: 'drop-item', itemId: item.id })}>
                {text('lesson.drop')}
              </button>
              <button type="button" disabled={busy} onClick={() => setBanning(true)} onKeyDown={onKey}>
                {text('lesson.ban')} <kbd>N</kbd>
              </button>
            </p>
          )}
        </div>
      )}
      {banning && <BanDialog word={item.word} onHide={() => setBanning(false)} onBan={(forSchool, reason) => onCommand({ type: 'ban', itemId: item.id, forSchool, text: reason })} />}
    </div>
  );
}
