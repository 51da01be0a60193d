import { CardSounds } from '../lesson/CardSounds';
import { notShown, type Item, type WordItem, type TextItem } from '../lesson/kinds';
import { PairShown } from '../lesson/PairShown';
import { ModelShown, PatternModels } from '../lesson/PatternModels';
import { PartIcon } from '../lesson/PartIcon';
import { cueText } from '../lesson/said';
import { Picture } from '../lesson/Picture';
import { soundText, text, textOf } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import { Formed } from './letters/Formed';
import { CrosswordShown, GapSentence, PromptShown, ScrambleShown } from './shown/ApplyShown';
import { FoundWord, HuntShown } from './shown/HuntShown';
import { OptionsShown } from './shown/OptionsShown';
import { SceneShown } from './shown/SceneShown';
import { SentenceShown } from './shown/SentenceShown';
import { lengthOf, type Shown } from './shown/shown';
import { SortShown } from './shown/SortShown';
import { TextShown } from './shown/TextShown';
import { lettersOf, Tiles } from './shown/Tiles';
import { MadeUpShown, WordShown, WrittenShown } from './shown/WordShown';
import { isOnlySaid, type Slide } from './slides';
import { isChained, isWritten } from './steps';

/** What stands on the board: as large as the screen lets it. */
export function BoardSlide(props: Shown) {
  const { item } = props.slide;
  return item ? <ItemOnBoard {...props} item={item} /> : <ActivityName slide={props.slide} />;
}

/** The part, and what is done in it. */
function ActivityName({ slide: { activity, part } }: { slide: Slide }) {
  const oral = activity.items.some((i) => i.$type !== 'clue' && isOnlySaid(i));
  return (
    <span className="board-name d-grid fw-bold">
      <span className="board-part fw-normal d-flex align-items-center justify-content-center">
        <PartIcon part={part} /> {textOf('part', part)}
      </span>
      <span>{oral ? text('board.listen') : textOf('activity', activity.kind)}</span>
    </span>
  );
}

function ItemOnBoard({ item, ...props }: Shown & { item: Item }) {
  const { slide, step, put, onPut } = props;
  const { activity } = slide;
  const isRevealed = step > 0;
  switch (item.$type) {
    case 'card':
      if (activity.kind === 'formation')
        return <Formed key={item.id} letters={item.grapheme} note={item.own?.formation ?? ''} />;
      if (activity.kind === 'mouth-cue' || activity.kind === 'memory-phrase')
        return (
          <span className="board-stack">
            <span className="board-sentence">{cueText(item, activity.kind)}</span>
            {isRevealed && item.own?.picture && <Picture name={item.own.picture} size={320} />}
          </span>
        );
      return (
        <span className="board-stack">
          <span className={`board-grapheme lh-1 literacy${item.grapheme.length > 3 ? ' board-longer' : ''}`}>
            {item.grapheme}
          </span>
          {isRevealed && (
            <span className="board-options">
              <CardSounds item={item} />
            </span>
          )}
        </span>
      );
    case 'word': {
      const before = slide.at > 1 ? activity.items[slide.at - 2] : undefined;
      if (isChained(activity, slide.at) && before?.$type === 'word')
        return <Tiles key={item.id} {...props} item={item} before={before} tray={trayOf(activity.items)} />;
      if (isWritten(activity.kind)) return <WrittenShown {...props} item={item} />;
      return item.hunt ? <FoundWord {...props} item={item} /> : <WordShown {...props} item={item} />;
    }
    case 'made-up':
      return isWritten(activity.kind) ? (
        <WrittenShown {...props} item={item} />
      ) : (
        <MadeUpShown {...props} item={item} />
      );
    case 'gap':
      return (
        <span className={lengthOf(shown(item.word))}>
          <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={isRevealed} />
        </span>
      );
    case 'spellings':
      return (
        <span className="board-spellings d-grid">
          <span>{soundText(item.sounds)}</span>
          <span className="literacy">{item.graphemes.map((g, i) => (i < step ? g : '?')).join('  ')}</span>
        </span>
      );
    case 'sentence':
      return <SentenceShown {...props} item={item} />;
    case 'pattern':
      return (
        <span className="board-name d-grid fw-bold">
          {textOf('pattern', item.pattern)}
          <span className="board-examples">
            <PatternModels item={item} answers={isRevealed} />
          </span>
        </span>
      );
    case 'choice': {
      const answer = item.graphemes.split('|')[item.gap]!;
      const isFilled = isRevealed || put.includes(answer);
      return (
        <span className="board-stack">
          <span className={lengthOf(item.word)}>
            <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={isFilled} even />
          </span>
          <OptionsShown options={item.options} answer={answer} isRevealed={isRevealed} put={put} onPut={onPut} />
        </span>
      );
    }
    case 'beside':
      return (
        <span className="board-beside align-items-center literacy">
          {item.cards.map((c, i) => (
            <span key={c.correspondence} className={i === 0 ? 'board-today' : undefined}>
              {c.grapheme}
            </span>
          ))}
        </span>
      );
    case 'syllables':
      return (
        <span className="board-word literacy board-length-long">
          {isRevealed ? item.syllables.join('·') : item.word}
        </span>
      );
    case 'line':
      return (
        <span className="board-sentence literacy">
          {item.words.map((w, i) => (
            <span key={w.id} className={props.pointer > 0 && props.pointer !== i + 1 ? 'board-waiting' : undefined}>
              {i > 0 && '   '}
              {w.word}
            </span>
          ))}
        </span>
      );
    case 'sort':
      return <SortShown key={item.id} {...props} item={item} />;
    case 'picture': {
      const wordFirst = activity.kind === 'word-then-picture';
      return (
        <span className="board-stack">
          {wordFirst && <span className="board-word literacy board-length-short">{item.word}</span>}
          {(isRevealed || (item.options.length === 0 && !wordFirst)) && <Picture name={item.picture} size={320} />}
          {item.options.length > 0 ? (
            <OptionsShown options={item.options} answer={item.word} isRevealed={false} put={put} onPut={onPut} />
          ) : (
            <span className="literacy board-options">{isRevealed && !wordFirst ? item.word : ''}</span>
          )}
        </span>
      );
    }
    case 'text':
      return <TextShown {...props} item={item as TextItem} />;
    case 'crossword':
      return <CrosswordShown {...props} item={item} />;
    case 'missing-word':
      return <GapSentence {...props} item={item} />;
    case 'prompt':
      return <PromptShown {...props} item={item} />;
    case 'chunk':
      return (
        <span className="board-stack">
          <span className="board-grapheme lh-1 literacy board-longer">{item.text}</span>
          {isRevealed && (
            <span className="board-options">
              {soundText(item.sounds)} <span className="literacy">{item.example}</span>
            </span>
          )}
        </span>
      );
    case 'pair':
      return (
        <span className="board-word board-length-long">
          <PairShown item={item} marks={isRevealed} />
        </span>
      );
    case 'build':
      return (
        <span className="board-stack">
          <span className="board-word board-length-long">
            <ModelShown model={item.model} answers={false} />
          </span>
          {isRevealed && (
            <span className="board-options literacy">
              <MarkedWord word={item.word} marks={item.marks} />
              {item.model.join && <small className="board-note d-block">{textOf('join', item.model.join)}</small>}
            </span>
          )}
        </span>
      );
    case 'hunt':
      return <HuntShown {...props} item={item} />;
    case 'scramble':
      return <ScrambleShown {...props} item={item} />;
    case 'mend':
      return <span className="board-sentence literacy">{isRevealed ? item.right : item.given}</span>;
    case 'scene':
      return <SceneShown {...props} item={item} />;
    case 'clue':
      return null; // only said
    default:
      return notShown(item.$type);
  }
}

/** The tiles that a chain's words need, each once, in the order of the alphabet. */
const trayOf = (items: readonly Item[]) =>
  [...new Set(items.filter((i): i is WordItem => i.$type === 'word').flatMap((w) => lettersOf(w)))].sort((a, b) =>
    a.localeCompare(b),
  );
