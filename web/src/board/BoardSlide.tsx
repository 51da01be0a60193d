import { CardSounds } from '../lesson/CardSounds';
import { checkText } from '../lesson/Checklist';
import { CrosswordClues } from '../lesson/CrosswordClues';
import { CrosswordGrid } from '../lesson/CrosswordGrid';
import { notShown, type WordItem } from '../lesson/kinds';
import { PairShown } from '../lesson/PairShown';
import { ModelShown, PatternModels } from '../lesson/PatternModels';
import { PartIcon } from '../lesson/PartIcon';
import { blendSteps, cueText } from '../lesson/said';
import { Picture } from '../lesson/Picture';
import { headingText, soundText, text, textOf, trickyWay } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import { OnLines } from './OnLines';
import { isOnlySaid, type Slide } from './slides';

/** Texts with fewer letters are shown larger. */
const SHORT_TEXT = 240;

const isWritten = (kind: Slide['activity']['kind']) =>
  kind === 'spell-words' || kind === 'spell-tricky' || kind === 'dictate-name';

const asName = (word: string) => word[0]!.toUpperCase() + word.slice(1);

/** What stands on the board: as large as the screen lets it. */
export function BoardSlide({ slide, revealed }: { slide: Slide; revealed: boolean }) {
  const { item, activity } = slide;
  if (!item) {
    const oral = activity.items.some((i) => i.$type !== 'clue' && isOnlySaid(i));
    return (
      <span className="board-name d-grid fw-bold">
        <span className="board-part fw-normal d-flex align-items-center justify-content-center">
          <PartIcon part={slide.part} /> {textOf('part', slide.part)}
        </span>
        <span>{oral ? text('board.listen') : textOf('activity', activity.kind)}</span>
      </span>
    );
  }
  switch (item.$type) {
    case 'card':
      if (activity.kind === 'formation') return <OnLines letters={item.grapheme} note={item.own?.formation ?? ''} />;
      if (activity.kind === 'mouth-cue' || activity.kind === 'memory-phrase')
        return <span className="board-sentence">{cueText(item, activity.kind)}</span>;
      return (
        <span className="board-stack">
          <span className={`board-grapheme lh-1 literacy${item.grapheme.length > 3 ? ' board-longer' : ''}`}>
            {item.grapheme}
          </span>
          {revealed && (
            <span className="board-options">
              <CardSounds item={item} />
            </span>
          )}
        </span>
      );
    case 'word':
      // Children count before anything is shown: the boxes would give it away.
      if (isWritten(activity.kind) && !revealed)
        return <span className="board-count fw-bold">{text('board.countFirst')}</span>;
      return (
        <span className="board-stack">
          <span className={`board-word literacy board-length-${shown(item.word).length > 7 ? 'long' : 'short'}`}>
            <MarkedWord
              word={item.word}
              marks={item.marks}
              tricky={item.tricky}
              chunks={item.chunks ?? []}
              hideMarks={!isWritten(activity.kind) && activity.kind !== 'new-tricky-word' && !revealed}
            />
          </span>
          {revealed && stepsOf(item, activity.kind) && (
            <span className="board-steps literacy">{stepsOf(item, activity.kind)}</span>
          )}
        </span>
      );
    case 'made-up':
      if (isWritten(activity.kind) && !revealed)
        return <span className="board-count fw-bold">{text('board.countFirst')}</span>;
      return (
        <span className="board-word literacy board-length-short">
          <MarkedWord
            word={activity.kind === 'dictate-name' ? asName(item.word) : item.word}
            marks={item.marks}
            hideMarks={!revealed}
          />
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
        <span className="board-spellings d-grid">
          <span>{soundText(item.sounds)}</span>
          <span className="literacy">
            {revealed ? item.graphemes.join('  ') : item.graphemes.map(() => '?').join('  ')}
          </span>
        </span>
      );
    case 'sentence':
      if (activity.kind === 'dictate-sentence' && !revealed) {
        return (
          <span className="board-sentence literacy">
            {item.words.map((w) => (w.status === 'tricky' ? w.text : w.text.replace(/[\p{L}'’]+/gu, '___'))).join(' ')}
          </span>
        );
      }
      return (
        <span className="board-stack">
          <span className="board-sentence literacy">
            {item.words.map((w, i) => (
              <span key={i}>
                {i > 0 && ' '}
                <span className={w.status === 'told' ? 'word-told' : undefined}>{w.text}</span>
              </span>
            ))}
          </span>
          {item.pictures && revealed && (
            <span className="board-pictures d-flex">
              {item.pictures.map((p) => (
                <Picture key={p} name={p} size={220} />
              ))}
            </span>
          )}
        </span>
      );
    case 'pattern':
      return (
        <span className="board-name d-grid fw-bold">
          {textOf('pattern', item.pattern)}
          <span className="board-examples">
            <PatternModels item={item} answers={revealed} />
          </span>
        </span>
      );
    case 'choice':
      return (
        <span className="board-stack">
          <span className={`board-word literacy board-length-${item.word.length > 7 ? 'long' : 'short'}`}>
            <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={revealed} even />
          </span>
          <span className="literacy board-options">{item.options.join('   ')}</span>
        </span>
      );
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
        <span className="board-word literacy board-length-long">{revealed ? item.syllables.join('·') : item.word}</span>
      );
    case 'line':
      return <span className="board-sentence literacy">{item.words.map((w) => w.word).join('   ')}</span>;
    case 'sort':
      return (
        <span className="board-stack literacy">
          <span className="board-sort d-flex flex-wrap justify-content-center">
            {item.headings.map((h, i) => (
              <span key={h} className="board-heading align-content-start">
                <strong>{headingText(item.by, h)}</strong>
                {revealed && item.words.filter((w) => w.heading === i).map((w) => <span key={w.word}>{w.word}</span>)}
              </span>
            ))}
          </span>
          {!revealed && (
            <span className="board-sort d-flex flex-wrap justify-content-center">
              {item.words.map((w) => (
                <span key={w.word}>{w.word}</span>
              ))}
            </span>
          )}
        </span>
      );
    case 'picture': {
      const wordFirst = activity.kind === 'word-then-picture';
      return (
        <span className="board-stack">
          {wordFirst && <span className="board-word literacy board-length-short">{item.word}</span>}
          {(revealed || (item.options.length === 0 && !wordFirst)) && <Picture name={item.picture} size={320} />}
          <span className="literacy board-options">
            {item.options.length > 0 ? item.options.join('   ') : revealed && !wordFirst ? item.word : ''}
          </span>
        </span>
      );
    }
    case 'text':
      return (
        <span
          className={`board-text lh-base text-start literacy${item.sentences.reduce((letters, s) => letters + s.text.length, 0) < SHORT_TEXT ? ' board-text-short' : ''}`}
        >
          <strong>{item.title}</strong>
          <span>{item.sentences.map((s) => s.text).join(' ')}</span>
        </span>
      );
    case 'crossword':
      return (
        <span className="board-crossword d-flex align-items-center text-start">
          <CrosswordGrid item={item} answers={revealed} />
          <CrosswordClues item={item} />
        </span>
      );
    case 'missing-word':
      return (
        <span className="board-stack">
          <span className="board-sentence literacy">
            {item.before} {revealed ? <strong>{item.word}</strong> : '____'}
            {item.after}
          </span>
          <span className="literacy board-options">{item.options.join('   ')}</span>
        </span>
      );
    case 'prompt':
      return (
        <span className="board-stack">
          <span className="literacy board-options">{item.words.join('   ')}</span>
          {item.checklist && (
            <span className="board-checklist d-grid text-start">
              {item.checklist.map((line) => (
                <span key={line.code + line.text}>☐ {checkText(line)}</span>
              ))}
            </span>
          )}
        </span>
      );
    case 'chunk':
      return (
        <span className="board-stack">
          <span className="board-grapheme lh-1 literacy board-longer">{item.text}</span>
          {revealed && (
            <span className="board-options">
              {soundText(item.sounds)} <span className="literacy">{item.example}</span>
            </span>
          )}
        </span>
      );
    case 'pair':
      return (
        <span className="board-word board-length-long">
          <PairShown item={item} marks={revealed} />
        </span>
      );
    case 'build':
      return (
        <span className="board-stack">
          <span className="board-word board-length-long">
            <ModelShown model={item.model} answers={false} />
          </span>
          {revealed && (
            <span className="board-options literacy">
              <MarkedWord word={item.word} marks={item.marks} />
              {item.model.join && <small className="board-note d-block">{textOf('join', item.model.join)}</small>}
            </span>
          )}
        </span>
      );
    case 'hunt':
      return (
        <span className="board-stack literacy">
          <strong className="board-options">{item.graphemes.join('   ')}</strong>
          <span className="board-hunt d-flex flex-wrap justify-content-center">
            {item.words.map((w) => (
              <span key={w.word} className={revealed && w.target >= 0 ? 'board-found' : undefined}>
                {w.word}
              </span>
            ))}
          </span>
        </span>
      );
    case 'scramble':
      return (
        <span className="board-stack literacy">
          <span className="board-pieces d-flex flex-wrap justify-content-center">
            {item.pieces.map((piece, i) => (
              <span key={i}>{piece}</span>
            ))}
          </span>
          {revealed && <span className="board-sentence">{item.whole}</span>}
        </span>
      );
    case 'mend':
      return <span className="board-sentence literacy">{revealed ? item.right : item.given}</span>;
    case 'clue':
      return null; // only said
    default:
      return notShown(item.$type);
  }
}

/** What is said step by step once the word is revealed: how it is blended, or the letters of a word learnt by heart. */
function stepsOf(item: WordItem, kind: Slide['activity']['kind']): string {
  if (kind === 'read-words') return blendSteps(item);
  return item.tricky.length > 0 && item.word.length > 1 && trickyWay() === 'by-heart'
    ? [...shown(item.word)].join(' · ')
    : '';
}
