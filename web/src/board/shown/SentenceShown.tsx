import type { SentenceItem } from '../../lesson/kinds';
import { Picture } from '../../lesson/Picture';
import { HuntedText } from './HuntShown';
import { OptionsShown } from './OptionsShown';
import type { Shown } from './shown';

/** A sentence: as a whole, word by word behind the pointer, with gaps while it is dictated, its pictures after it. */
export function SentenceShown({ item, slide, step, pointer, put, onPut }: Shown & { item: SentenceItem }) {
  const isDictated = slide.activity.kind === 'dictate-sentence';
  const count = item.words.length;
  const isOut = (i: number) => (isDictated ? step > 0 || i < pointer : pointer === 0 || pointer > count || i < pointer);
  return (
    <span className="board-stack">
      <span className="board-sentence literacy">
        {item.words.map((w, i) => (
          <span key={i}>
            {i > 0 && ' '}
            <span
              className={[
                w.status === 'told' && 'word-told',
                !isDictated && !isOut(i) && 'invisible',
                !isDictated && pointer === i + 1 && 'board-said',
              ]
                .filter(Boolean)
                .join(' ')}
            >
              {isDictated && !isOut(i) && w.status !== 'tricky' ? (
                w.text.replace(/[\p{L}'’]+/gu, '___')
              ) : (
                <HuntedText
                  printed={w.text}
                  places={w.hunt}
                  at={`${i}`}
                  isRevealed={step > 0}
                  put={put}
                  onPut={onPut}
                />
              )}
            </span>
          </span>
        ))}
      </span>
      {item.pictures && step > 0 && (
        <span className="board-pictures">
          <OptionsShown
            options={item.pictures}
            answer={item.pictures[item.fits ?? 0]!}
            isRevealed={step > 1}
            put={put}
            onPut={onPut}
            draw={(name) => <Picture name={name} size={220} />}
          />
        </span>
      )}
    </span>
  );
}
