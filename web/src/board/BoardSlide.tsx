import { PartIcon } from '../lesson/PartIcon';
import { countOf, countText, soundText, text, textOf } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import type { Slide } from './slides';

/** What stands on the board: as large as the screen lets it. */
export function BoardSlide({ slide, revealed }: { slide: Slide; revealed: boolean }) {
  const { item, activity } = slide;
  if (!item) {
    const oral = activity.items.some((i) => i.$type === 'word' && i.oral);
    return (
      <span className="board-name">
        <span className="board-part">
          <PartIcon part={slide.part} /> {textOf('part', slide.part)}
        </span>
        <span>{oral ? text('board.listen') : textOf('activity', activity.kind)}</span>
      </span>
    );
  }
  switch (item.$type) {
    case 'card':
      return <span className={`board-grapheme literacy${item.grapheme.length > 3 ? ' board-longer' : ''}`}>{item.grapheme}</span>;
    case 'word':
      if (activity.kind === 'spell-words' && !revealed) {
        return (
          <span className="board-taps">
            <span className="board-boxes" aria-hidden="true">
              {Array.from({ length: countOf(item) }, (_, i) => (
                <span key={i} />
              ))}
            </span>
            <span>{countText(item)}</span>
          </span>
        );
      }
      return (
        <span className={`board-word literacy board-length-${shown(item.word).length > 7 ? 'long' : 'short'}`}>
          <MarkedWord word={item.word} marks={item.marks} tricky={item.tricky} hideMarks={activity.kind !== 'spell-words' && activity.kind !== 'new-tricky-word' && !revealed} />
        </span>
      );
    case 'made-up':
      return (
        <span className="board-word literacy board-length-short">
          <MarkedWord word={item.word} marks={item.marks} hideMarks={!revealed} />
        </span>
      );
    case 'gap':
      return (
        <span className={`board-word literacy board-length-${shown(item.word).length > 7 ? 'long' : 'short'}`}>
          <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={revealed} />
        </span>
      );
    case 'spellings':
      return (
        <span className="board-spellings">
          <span>{soundText(item.sounds)}</span>
          <span className="literacy">{revealed ? item.graphemes.join('  ') : item.graphemes.map(() => '?').join('  ')}</span>
        </span>
      );
    case 'sentence':
      return <span className="board-sentence literacy">{item.text}</span>;
    case 'pattern':
      return <span className="board-name">{textOf('pattern', item.pattern)}</span>;
    default:
      return null;
  }
}
