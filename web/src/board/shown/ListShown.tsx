import type { Activity } from '../../lesson/kinds';
import { text } from '../../text/text';
import { MarkedWord } from '../../words/MarkedWord';

/** So many words stand in one column. */
const IN_A_COLUMN = 6;

/** The words of an activity in a list, under a shade that lets one out at a time. */
export function ListShown({ items, out }: { items: Activity['items']; out: number }) {
  const columns = Math.ceil(items.length / IN_A_COLUMN);
  const rows = Math.ceil(items.length / columns);
  return (
    <ol
      className="board-list list-unstyled literacy m-0"
      style={{
        gridTemplateRows: `repeat(${rows}, 1fr)`,
        fontSize: `min(${Math.min(15, 74 / rows)}vh, ${Math.min(12, 34 / columns)}vw)`,
      }}
    >
      {items.map((item, i) => (
        <li key={item.id} className={i < out ? (i === out - 1 ? 'board-let-out' : '') : 'board-shaded'}>
          {i < out ? (
            (item.$type === 'word' || item.$type === 'made-up') && (
              <MarkedWord word={item.word} marks={item.marks} hideMarks />
            )
          ) : (
            <span className="visually-hidden">{text('board.shaded')}</span>
          )}
        </li>
      ))}
    </ol>
  );
}
