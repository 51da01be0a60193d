import type { TextItem } from '../../lesson/kinds';
import { text } from '../../text/text';
import { HuntCount, HuntedText } from './HuntShown';
import { isHuntedText, pagesOf } from './pages';
import type { Shown } from './shown';

/**
 * A text, a page at a time, so large that it can be read from afar; sentence by sentence behind the pointer. Where it
 * is hunted through, each page is shown with what was to be found before the next.
 */
export function TextShown({ item, pointer, step, put, onPut }: Shown & { item: TextItem }) {
  const pages = pagesOf(item);
  const isHunted = isHuntedText(item);
  const shown = isHunted ? Math.floor(step / 2) : step;
  const isRevealed = isHunted && step % 2 === 1;
  // The pointer leads: where it is, there the page is.
  const page = pages[pointer > 0 ? pages.findIndex((p) => p.includes(pointer - 1)) : shown] ?? [];
  const places = new Map(
    page.flatMap((i) => item.sentences[i]!.words.map((w, j) => [`${i}.${j}`, w.hunt ?? []] as const)),
  );
  return (
    <span className="board-text lh-sm text-start literacy">
      {page[0] === 0 && <strong>{item.title}</strong>}
      <span>
        {page.map((i) => (
          <span key={i} className={pointer > 0 && pointer !== i + 1 ? 'board-waiting' : undefined}>
            {item.sentences[i]!.words.map((w, j) => (
              <span key={j}>
                {(i > 0 || j > 0) && ' '}
                <HuntedText
                  printed={w.text}
                  places={isHunted ? (w.hunt ?? []) : null}
                  at={`${i}.${j}`}
                  isRevealed={isRevealed}
                  put={put}
                  onPut={onPut}
                />
              </span>
            ))}
          </span>
        ))}
      </span>
      <span className="board-aside d-flex gap-4">
        {pages.length > 1 && (
          <span>{text('board.position', { at: pages.indexOf(page) + 1, total: pages.length })}</span>
        )}
        {isHunted && <HuntCount all={places} isRevealed={isRevealed} put={put} />}
      </span>
    </span>
  );
}
