import { checkText } from '../../lesson/Checklist';
import { CrosswordClues } from '../../lesson/CrosswordClues';
import { CrosswordGrid } from '../../lesson/CrosswordGrid';
import type { CrosswordItem, MissingWordItem, PromptItem, ScrambleItem } from '../../lesson/kinds';
import { Picture } from '../../lesson/Picture';
import { text } from '../../text/text';
import { OptionsShown } from './OptionsShown';
import { toggled, type Shown } from './shown';

/**
 * A crossword: a clue that is touched has its answer written in. Behind the pointer the clues come one at a time, to be
 * read from afar.
 */
export function CrosswordShown({ item, step, pointer, put, onPut }: Shown & { item: CrosswordItem }) {
  const line = [...item.lines].sort((a, b) => Number(b.across) - Number(a.across))[pointer - 1];
  return (
    <span className="board-crossword d-flex align-items-center text-start">
      <CrosswordGrid item={item} answers={step > 0 ? true : put} />
      {line ? (
        <button
          type="button"
          className="board-touch board-clue bg-transparent border-0 p-0 text-reset text-start"
          aria-pressed={put.includes(line.word)}
          onClick={() => onPut(toggled(put, line.word))}
        >
          <strong className="d-block">
            {line.number} {text(line.across ? 'crossword.across' : 'crossword.down')}
          </strong>
          {line.picture ? <Picture name={line.picture} size={200} /> : <span className="literacy">{line.clue}</span>}
        </button>
      ) : (
        <CrosswordClues item={item} solved={put} onSolve={(word) => onPut(toggled(put, word))} />
      )}
    </span>
  );
}

/** A sentence with a gap and the words to choose from. */
export function GapSentence({ item, step, put, onPut }: Shown & { item: MissingWordItem }) {
  return (
    <span className="board-stack">
      <span className="board-sentence literacy">
        {item.before} {step > 0 || put.includes(item.word) ? <strong>{item.word}</strong> : '____'}
        {item.after}
      </span>
      <OptionsShown options={item.options} answer={item.word} isRevealed={step > 0} put={put} onPut={onPut} />
    </span>
  );
}

/** The words of a sentence, put in order by touching one after the other. */
export function ScrambleShown({ item, step, put, onPut }: Shown & { item: ScrambleItem }) {
  return (
    <span className="board-stack literacy">
      <span className="board-sentence board-written">
        {step > 0 ? item.whole : put.map((p) => item.pieces[Number(p)]).join(' ') || '\u00a0'}
      </span>
      <span className="board-pieces d-flex flex-wrap justify-content-center">
        {item.pieces.map((piece, i) => (
          <button
            key={i}
            type="button"
            className={`board-touch board-tile text-reset${put.includes(`${i}`) ? ' board-used' : ''}`}
            aria-pressed={put.includes(`${i}`)}
            onClick={() => onPut(toggled(put, `${i}`))}
          >
            {piece}
          </button>
        ))}
      </span>
    </span>
  );
}

/** What a story begins with: its words, and what it is to have, ticked off as it is told. */
export function PromptShown({ item, put, onPut }: Shown & { item: PromptItem }) {
  return (
    <span className="board-stack">
      <span className="literacy board-options">{item.words.join('   ')}</span>
      {item.checklist && (
        <span className="board-checklist d-grid text-start">
          {item.checklist.map((line, i) => (
            <button
              key={line.code + line.text}
              type="button"
              role="checkbox"
              aria-checked={put.includes(`${i}`)}
              className="board-touch bg-transparent border-0 text-reset text-start"
              onClick={() => onPut(toggled(put, `${i}`))}
            >
              {put.includes(`${i}`) ? '☑' : '☐'} {checkText(line)}
            </button>
          ))}
        </span>
      )}
    </span>
  );
}
