import { useRef } from 'react';
import { text as say } from '../text/text';
import { wordAt, type Piece } from './marks';
import type { TextWord } from './queries';

interface Props {
  value: string;
  pieces: readonly Piece[];
  words: readonly TextWord[];
  /** Where the chosen word starts; null for none. */
  chosen: number | null;
  onChange: (value: string) => void;
  /** The caret was put somewhere. */
  onChoose: (piece: Piece | null, caret: number) => void;
}

/** How a word is marked: by a line and a colour, so that neither alone tells. */
export function markOf(word: TextWord | undefined): string {
  if (!word) return '';
  if (word.isNever) return 'mark-never';
  if (word.isTold) return 'mark-told';
  if (word.status === 'not-yet') return 'mark-not-yet';
  if (word.status === 'tricky') return 'mark-tricky';
  return word.status === 'unknown' ? 'mark-unknown' : '';
}

/** A text to type in whose words are marked under the letters while it is typed. */
export function Editor({ value, pieces, words, chosen, onChange, onChoose }: Props) {
  const field = useRef<HTMLTextAreaElement>(null);
  const look = () => {
    const caret = field.current?.selectionStart ?? 0;
    onChoose(wordAt(pieces, caret), caret);
  };
  return (
    <div className="text-editor literacy bg-white border rounded">
      <div className="text-marks" aria-hidden="true">
        {pieces.map((p) =>
          p.word === null ? (
            p.text
          ) : (
            <span
              key={p.start}
              className={`${markOf(words[p.word])}${p.start === chosen ? ' mark-chosen' : ''}`.trim() || undefined}
            >
              {p.text}
            </span>
          ),
        )}
        {'\n'}
      </div>
      <textarea
        ref={field}
        value={value}
        spellCheck={false}
        aria-label={say('texts.text')}
        placeholder={say('texts.placeholder')}
        onChange={(e) => onChange(e.target.value)}
        onClick={look}
        onKeyUp={look}
      />
    </div>
  );
}
