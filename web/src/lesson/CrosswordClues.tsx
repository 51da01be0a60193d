import { text } from '../text/text';
import type { CrosswordItem } from './kinds';
import { Picture } from './Picture';

interface Props {
  item: CrosswordItem;
  /** The words that are written in, where touching a clue writes in its word. */
  solved?: readonly string[];
  onSolve?: (word: string) => void;
}

/** The clues of a crossword, each a picture or a sentence with the word left out. */
export function CrosswordClues({ item, solved, onSolve }: Props) {
  const clue = (l: CrosswordItem['lines'][number]) => (
    <>
      {l.number} {l.picture ? <Picture name={l.picture} size={40} /> : <span className="literacy">{l.clue}</span>}
    </>
  );
  return (
    <div className="crossword-clues">
      {([true, false] as const).map((across) => (
        <div key={String(across)}>
          <strong>{text(across ? 'crossword.across' : 'crossword.down')}</strong>
          <ul className="list-unstyled">
            {item.lines
              .filter((l) => l.across === across)
              .map((l) => (
                <li key={l.word}>
                  {onSolve ? (
                    <button
                      type="button"
                      className="board-touch bg-transparent border-0 p-0 text-reset text-start"
                      aria-pressed={solved?.includes(l.word)}
                      onClick={() => onSolve(l.word)}
                    >
                      {clue(l)}
                    </button>
                  ) : (
                    clue(l)
                  )}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
