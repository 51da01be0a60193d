import { ChecklistShown } from '../lesson/Checklist';
import { CrosswordClues } from '../lesson/CrosswordClues';
import { CrosswordGrid } from '../lesson/CrosswordGrid';
import type { Item, SortItem, WordItem } from '../lesson/kinds';
import { Picture } from '../lesson/Picture';
import { headingText, reasonText, text, textOf } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';
import type { PaperSheet } from './queries';
import { WritingLines } from './WritingLines';

const STORY_LINES = 8;

interface Props {
  sheet: PaperSheet;
  /** With what is right written in. */
  answers: boolean;
}

/** What children write on, or what is right. */
export function PaperSheetShown({ sheet, answers }: Props) {
  return (
    <>
      {sheet.bank.length > 0 && sheet.kind !== 'join-pictures' && (
        <p className="paper-bank literacy">
          {sheet.bank.map((word) => (
            <span key={word}>{word}</span>
          ))}
        </p>
      )}
      {sheet.kind === 'join-pictures' ? (
        <Join sheet={sheet} answers={answers} />
      ) : (
        <ol className={`paper-items paper-${sheet.kind}`}>
          {sheet.items.map((item) => (
            <li key={item.id}>
              <ItemOnPaper item={item} sheet={sheet} answers={answers} />
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

/** Pictures on one side, their words on the other in the order of the bank. */
function Join({ sheet, answers }: Props) {
  const pictures = sheet.items.flatMap((i) => (i.$type === 'picture' ? [i] : []));
  return (
    <div className="paper-join">
      {pictures.map((item, i) => (
        <div key={item.id}>
          <Picture name={item.picture} size={84} />
          {answers ? <span className="literacy paper-answer">{item.word}</span> : <span className="paper-dot" />}
          <span className="paper-dot" />
          <span className="literacy">{sheet.bank[i]}</span>
        </div>
      ))}
    </div>
  );
}

function ItemOnPaper({ item, sheet, answers }: Props & { item: Item }) {
  const picture = 'word' in item && sheet.pictures[item.word];
  switch (item.$type) {
    case 'card':
      return <WritingLines trace={item.grapheme} times={answers ? 1 : 5} />;
    case 'word':
      return <WordOnPaper word={item} sheet={sheet} answers={answers} />;
    case 'gap':
      return (
        <span className="paper-row">
          {picture && <Picture name={picture} size={64} />}
          <span className="literacy paper-word">
            <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={answers} />
          </span>
        </span>
      );
    case 'choice':
      return (
        <span className="paper-row">
          <span className="literacy paper-word">
            <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={answers} even />
          </span>
          <span className="literacy paper-options">
            {item.options.map((o) => (
              <span key={o}>{o}</span>
            ))}
          </span>
        </span>
      );
    case 'sort':
      return (
        <>
          {!answers && (
            <p className="paper-bank literacy">
              {item.words.map((w) => (
                <span key={w.word}>{w.word}</span>
              ))}
            </p>
          )}
          <div className="paper-columns">
            {item.headings.map((heading, h) => (
              <div key={heading}>
                <strong className={item.by === 'spelling' ? 'literacy' : undefined}>
                  {headingText(item.by, heading)}
                </strong>
                {answers
                  ? item.words
                      .filter((w) => w.heading === h)
                      .map((w) => (
                        <span key={w.word} className="literacy paper-write">
                          {w.word}
                        </span>
                      ))
                  : [...Array(linesOf(item)).keys()].map((line) => <span key={line} className="paper-write" />)}
              </div>
            ))}
          </div>
        </>
      );
    case 'hunt':
      return (
        <>
          <p className="mb-2">
            {text('paper.find')} <strong className="literacy">{item.graphemes.join('   ')}</strong>
          </p>
          <div className="paper-grid literacy">
            {item.words.map((w) => (
              <span key={w.word} className={answers && w.target >= 0 ? 'paper-ringed' : undefined}>
                {w.word}
              </span>
            ))}
          </div>
        </>
      );
    case 'missing-word':
      return (
        <span className="literacy paper-sentence">
          {item.before} {answers ? <u>{item.word}</u> : <span className="paper-blank" />}
          {item.after}
        </span>
      );
    case 'crossword':
      return (
        <div className="paper-puzzle">
          <CrosswordGrid item={item} answers={answers} />
          <CrosswordClues item={item} />
        </div>
      );
    case 'sentence':
      return (
        <span className="paper-row">
          <span className="literacy paper-sentence">{item.text}</span>
          {item.pictures && (
            <span className="text-nowrap">
              {item.pictures.map((p, i) => (
                <span key={p} className={`paper-choice${answers && i === item.fits ? ' paper-ringed' : ''}`}>
                  <Picture name={p} size={64} />
                </span>
              ))}
            </span>
          )}
        </span>
      );
    case 'text':
      return (
        <>
          <h2 className="literacy">{item.title}</h2>
          <p className="literacy paper-text">{item.sentences.map((s) => s.text).join(' ')}</p>
          {item.questions.map((q) => (
            <div key={q}>
              <p className="mb-0">
                <span className="paper-adult">{text('paper.adult')}</span>
                {q}
              </p>
              <WritingLines />
            </div>
          ))}
        </>
      );
    case 'prompt':
      return (
        <>
          <p>
            <span className="paper-adult">{text('paper.adult')}</span>
            {textOf('prompt', item.code)} {text('prompt.words')}:{' '}
            <strong className="literacy">{item.words.join(', ')}</strong>
          </p>
          {item.checklist && <ChecklistShown lines={item.checklist} />}
          {[...Array(STORY_LINES).keys()].map((line) => (
            <WritingLines key={line} />
          ))}
        </>
      );
    default:
      return null;
  }
}

/** Under each heading as many lines as the longest list needs, and one more: their number tells nothing. */
const linesOf = (item: SortItem) =>
  1 + Math.max(...item.headings.map((_, h) => item.words.filter((w) => w.heading === h).length));

/** A word as its sheet has it: to mark, to trace, in boxes, to cover and write, in a chain. */
function WordOnPaper({ word, sheet, answers }: Props & { word: WordItem }) {
  switch (sheet.kind) {
    case 'trace-and-write':
      return (
        <span className="d-grid gap-1">
          <WritingLines trace={shown(word.word)} times={2} />
          {!answers && <WritingLines />}
        </span>
      );
    case 'boxes': {
      const parts = word.graphemes.split('|');
      return (
        <span className="paper-row">
          {parts.map((part, i) => (
            <span key={i} className="paper-box literacy">
              {answers ? part : ''}
              <small>{answers ? '✓' : ''}</small>
            </span>
          ))}
        </span>
      );
    }
    case 'cover-and-write':
      return (
        <span className="paper-row">
          <span className="literacy paper-word">
            <MarkedWord word={word.word} marks={word.marks} tricky={word.tricky} hideMarks={!answers} />
          </span>
          {[0, 1, 2].map((again) => (
            <span key={again} className="paper-write literacy">
              {answers ? word.word : ''}
            </span>
          ))}
        </span>
      );
    case 'chain':
      return (
        <span className="paper-row">
          <span className="literacy paper-word">{word.word}</span>
          {answers ? <span>{reasonText(word.reasons[0]!)}</span> : <span className="paper-write" />}
        </span>
      );
    default:
      return (
        <span className="literacy paper-word">
          <MarkedWord word={word.word} marks={word.marks} tricky={word.tricky} hideMarks={!answers} />
        </span>
      );
  }
}
