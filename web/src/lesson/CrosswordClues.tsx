import { text } from '../text/text';
import type { CrosswordItem } from './kinds';
import { Picture } from './Picture';

/** The clues of a crossword, each a picture or a sentence with the word left out. */
export function CrosswordClues({ item }: { item: CrosswordItem }) {
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
                  {l.number}{' '}
                  {l.picture ? <Picture name={l.picture} size={40} /> : <span className="literacy">{l.clue}</span>}
                </li>
              ))}
          </ul>
        </div>
      ))}
    </div>
  );
}
