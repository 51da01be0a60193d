import { flagOf } from './flags';
import { Fragment } from 'react';
import { headingText, saysText, text, textOf } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { CardSounds } from './CardSounds';
import { CrosswordClues } from './CrosswordClues';
import { CrosswordGrid } from './CrosswordGrid';
import { notShown, type Activity, type Item, type SentenceItem } from './kinds';
import { PatternModels } from './PatternModels';
import { Picture } from './Picture';

interface Props {
  item: Item;
  kind: Activity['kind'];
  broken?: boolean;
  /** On paper: no tooltips, answers beside what is asked. */
  print?: boolean;
}

/** Any item, as a lesson's page and its print show it. */
export function ItemShown({ item, kind, broken = false, print = false }: Props) {
  const card = `card-item rounded text-center literacy${broken ? ' broken' : ''}`;
  switch (item.$type) {
    case 'card':
      if (kind === 'mouth-cue')
        return (
          <p className="cue m-0 w-100">{`${saysText(item.sounds, item.keyWord)}: ${item.sounds
            .split('+')
            .map((s) => textOf('mouth', s))
            .join(' ')}`}</p>
        );
      return (
        <span className={card}>
          {item.grapheme}
          {(kind === 'grapheme-cards' || kind === 'last-miss') && (
            <small className="card-sounds d-block">
              <CardSounds item={item} />
            </small>
          )}
        </span>
      );
    case 'word':
      return (
        <span className={`word-plain d-inline-flex px-2 flex-column literacy${broken ? ' broken' : ''}`}>
          <MarkedWord
            word={item.word}
            marks={item.marks}
            tricky={item.tricky}
            hideMarks={kind === 'read-unmarked' || kind === 'read-at-speed' || item.oral}
          />
          {flagOf(item.reasons) && kind !== 'hear-sound' && <small>{flagOf(item.reasons)}</small>}
          {item.sentence && !print && <small className="word-said">“{item.sentence}”</small>}
        </span>
      );
    case 'pattern':
      return (
        <div className="d-grid gap-1 fs-4 fw-bold m-0">
          <strong>{textOf('pattern', item.pattern)}</strong>
          <PatternModels item={item} />
        </div>
      );
    case 'sentence':
      return <SentenceShown item={item} broken={broken} print={print} />;
    case 'made-up':
      return (
        <span className={card}>
          <MarkedWord word={item.word} marks={item.marks} />
        </span>
      );
    case 'gap':
      return (
        <span className={card}>
          <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={false} />
          {print && <small>{item.word}</small>}
        </span>
      );
    case 'choice':
      return (
        <span className={card}>
          <GapWord word={item.word} marks={item.marks} gap={item.gap} revealed={false} even />
          <small>{item.options.join(` ${text('choice.or')} `)}</small>
        </span>
      );
    case 'spellings':
      return (
        <span className="d-inline-flex align-items-center gap-2 me-3">
          <span>{saysText(item.sounds, item.keyWord)}</span>
          {item.graphemes.map((g) => (
            <span key={g} className="card-item rounded text-center literacy">
              {g}
            </span>
          ))}
        </span>
      );
    case 'clue':
      return (
        <span className="clue m-0 w-100">
          {item.clue.charAt(0).toUpperCase() + item.clue.slice(1)}? <strong className="literacy">{item.word}</strong>
        </span>
      );
    case 'beside':
      return (
        <div className="d-flex flex-wrap align-items-center gap-2">
          {item.cards.map((c, i) => (
            <span
              key={c.correspondence}
              className={`beside-card rounded d-grid pt-1 pb-2 px-3${i === 0 ? ' beside-today' : ''}`}
            >
              <span className="literacy fs-2">{c.grapheme}</span>
              <span>{saysText(c.sounds, c.keyWord)}</span>
              {c.example && <span className="literacy">{c.example}</span>}
              {i === 0 && <small>{text('beside.today')}</small>}
            </span>
          ))}
          <span className="quiet">{text(item.bySound ? 'beside.line' : 'beside.soundLine')}</span>
        </div>
      );
    case 'syllables':
      return <span className={card}>{item.syllables.join('·')}</span>;
    case 'line':
      return (
        <p className={`word-line d-flex m-0 gap-4 w-100 literacy${broken ? ' broken' : ''}`}>
          {item.words.map((w) => (
            <span key={w.id}>
              <MarkedWord word={w.word} marks={w.marks as number[]} />
            </span>
          ))}
        </p>
      );
    case 'sort':
      return (
        <div className="sort">
          <p className="quiet small mb-1">{textOf('sort', item.by)}</p>
          <div className="d-flex gap-3">
            {item.headings.map((heading, h) => (
              <div key={heading} className="sort-column d-grid gap-1 align-content-start py-2 px-3 border rounded fs-5">
                <strong className={item.by === 'spelling' ? 'literacy' : undefined}>
                  {headingText(item.by, heading)}
                </strong>
                {item.words
                  .filter((w) => w.heading === h)
                  .map((w) => (
                    <span key={w.word} className="literacy">
                      <MarkedWord word={w.word} marks={w.marks} />
                    </span>
                  ))}
              </div>
            ))}
          </div>
        </div>
      );
    case 'picture':
      return (
        <span className={`picture-item d-grid rounded gap-1 fs-5${broken ? ' broken' : ''}`}>
          <Picture name={item.picture} word={item.word} />
          <span className="literacy">{item.options.length > 0 ? item.options.join(' · ') : item.word}</span>
        </span>
      );
    case 'text':
      return (
        <div className={broken ? 'broken' : undefined}>
          <h4 className="literacy">{item.title}</h4>
          <p className="literacy reading-text">{item.sentences.map((s) => s.text).join(' ')}</p>
          <p className="mb-0">
            <strong>{text('text.questions')}:</strong> {item.questions.join(' ')}
          </p>
        </div>
      );
    case 'crossword':
      return (
        <div className="d-flex gap-4 align-items-start">
          <CrosswordGrid item={item} answers={!print} />
          <CrosswordClues item={item} />
        </div>
      );
    case 'missing-word':
      return (
        <span className={`sentence m-0 literacy${broken ? ' broken' : ''}`}>
          {item.before} ____
          {item.after} <small>{item.options.join(' · ')}</small>
        </span>
      );
    case 'prompt':
      return (
        <p className="prompt m-0 w-100">
          {textOf('prompt', item.code)} <strong>{text('prompt.words')}:</strong>{' '}
          <span className="literacy">{item.words.join(', ')}</span>
        </p>
      );
    default:
      return notShown(item.$type);
  }
}

function SentenceShown({ item, broken, print }: { item: SentenceItem; broken: boolean; print: boolean }) {
  return (
    <span className={broken ? 'broken' : undefined}>
      <span className="literacy sentence m-0">
        {item.words.map((w, i) => (
          <Fragment key={i}>
            {i > 0 && ' '}
            <span className={w.status === 'tricky' ? 'word-tricky' : undefined}>{w.text}</span>
          </Fragment>
        ))}
      </span>
      {item.pictures && (
        <span className="d-flex gap-2 mt-2">
          {item.pictures.map((p) => (
            <Picture key={p} name={p} size={print ? 48 : 72} />
          ))}
        </span>
      )}
    </span>
  );
}
