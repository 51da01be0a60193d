import { Picture } from '../lesson/Picture';
import { soundText, text, textOf } from '../text/text';
import { shown } from '../words/spelling';
import type { Booklet } from './queries';

interface Props {
  page: Booklet['pages'][number];
  booklet: Booklet;
  groupName: string;
}

/** One page of a booklet. */
export function BookPageShown({ page, booklet, groupName }: Props) {
  switch (page.kind) {
    case 'cover':
      return (
        <div className="book-cover">
          <h2 className={booklet.title ? 'literacy' : undefined}>{booklet.title || textOf('booklet', booklet.kind)}</h2>
          <span className="book-frame" />
          <span className="book-name">{text('paper.name')}</span>
          <small>{groupName}</small>
        </div>
      );
    case 'cards':
      return booklet.kind === 'tricky' ? (
        <ul className="book-words literacy">
          {page.cards.map((c) => (
            <li key={c.key}>
              {shown(c.key)} <span aria-hidden="true">○ ○ ○</span>
            </li>
          ))}
        </ul>
      ) : (
        <ul className="book-sounds">
          {page.cards.map((c) => (
            <li key={c.key}>
              <span className="literacy">{c.key}</span>
              {c.back.picture && <Picture name={c.back.picture} />}
              <small>{c.back.says[0] && `${soundText(c.back.says[0].sounds)} ${c.back.says[0].keyWord}`}</small>
            </li>
          ))}
        </ul>
      );
    case 'text':
      return (
        <div className="book-text">
          <span className="book-frame" />
          <p className="literacy">{page.sentences.join(' ')}</p>
        </div>
      );
    case 'draw':
      return (
        <div className="book-text">
          <span className="book-frame" />
          <p>{text('booklet.draw')}</p>
        </div>
      );
    default:
      return <Back page={page} booklet={booklet} />;
  }
}

/** The last page is for who listens. */
function Back({ page, booklet }: Pick<Props, 'page' | 'booklet'>) {
  return (
    <div className="book-back">
      {page.cards.length > 0 && (
        <p>
          {text('booklet.first')} <strong className="literacy">{page.cards.map((c) => shown(c.key)).join(', ')}</strong>
        </p>
      )}
      {page.sentences.map((q) => (
        <p key={q}>{q}</p>
      ))}
      {booklet.kind !== 'little-book' && <p>{textOf('bookletBack', booklet.kind)}</p>}
      <p>{text('booklet.readTo')}</p>
      {[0, 1, 2].map((line) => (
        <span key={line} className="book-name" />
      ))}
    </div>
  );
}
