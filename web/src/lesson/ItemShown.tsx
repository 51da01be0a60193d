import { againstText, flagOf } from './flags';
import { Fragment } from 'react';
import type { Schemas } from '../api/client';
import { headingText, saysText, soundText, text, textOf, trickyWay } from '../text/text';
import { GapWord } from '../words/GapWord';
import { MarkedWord } from '../words/MarkedWord';
import { CardSounds } from './CardSounds';
import { ChecklistShown } from './Checklist';
import { CrosswordClues } from './CrosswordClues';
import { CrosswordGrid } from './CrosswordGrid';
import { notShown, type Activity, type Item, type SentenceItem } from './kinds';
import { cueText } from './said';
import { PairShown } from './PairShown';
import { ModelShown, PatternModels } from './PatternModels';
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
      if (kind === 'mouth-cue' || kind === 'memory-phrase')
        return (
          <p className="cue m-0 w-100">
            {cueText(item, kind)}{' '}
            {kind === 'memory-phrase' && item.own?.picture && <Picture name={item.own.picture} size={44} />}
          </p>
        );
      if (kind === 'formation' && item.own?.formation)
        return (
          <p className="cue m-0 w-100">
            <span className="literacy">{item.grapheme}</span> {item.own.formation}
          </p>
        );
      return (
        <span className={card}>
          {item.grapheme}
          {(kind === 'grapheme-cards' || kind === 'last-miss') && (
            <small className="card-sounds">
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
            chunks={item.chunks ?? []}
            hideMarks={kind === 'read-unmarked' || kind === 'read-at-speed' || item.oral}
          />
          {item.tricky.length > 0 && trickyWay() === 'by-heart' && kind === 'new-tricky-word' && (
            <small>{[...item.word].join(' · ')}</small>
          )}
          {flagOf(item.reasons) && kind !== 'hear-sound' && <small>{flagOf(item.reasons)}</small>}
          {item.sentence && !print && <small className="word-said">“{item.sentence}”</small>}
        </span>
      );
    case 'pattern':
      return (
        <div className="d-grid gap-1 fs-5 fw-bold m-0">
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
              className={`beside-card rounded d-grid lh-sm py-1 px-3${i === 0 ? ' beside-today' : ''}`}
            >
              <span>
                <span className="literacy fs-4">{c.grapheme}</span>{' '}
                {c.example && <span className="literacy">{c.example}</span>}
              </span>
              <span className="small">
                {saysText(c.sounds, c.keyWord)}
                {i === 0 && <strong> · {text('beside.today')}</strong>}
              </span>
            </span>
          ))}
          <span className="quiet small">{text(item.bySound ? 'beside.line' : 'beside.soundLine')}</span>
        </div>
      );
    case 'syllables':
      return <span className={card}>{item.syllables.join('·')}</span>;
    case 'line':
      return (
        <p className={`word-line d-flex m-0 gap-4 w-100 literacy${broken ? ' broken' : ''}`}>
          {item.words.map((w) => (
            <span key={w.id}>
              <MarkedWord
                word={w.word}
                marks={w.marks as number[]}
                chunks={(w.chunks ?? []) as Schemas['ChunkInWord'][]}
              />
            </span>
          ))}
        </p>
      );
    case 'sort':
      return (
        <div className="sorted">
          <span className="quiet small">{textOf('sort', item.by)}</span>
          {item.headings.map((heading, h) => (
            <span key={heading}>
              <strong className={item.by === 'spelling' ? 'literacy' : undefined}>
                {headingText(item.by, heading)}
              </strong>
              <span className="literacy">
                {item.words
                  .filter((w) => w.heading === h)
                  .map((w) => w.word)
                  .join(', ')}
              </span>
            </span>
          ))}
        </div>
      );
    case 'picture':
      return (
        <span className={`picture-item d-grid rounded gap-1 fs-5${broken ? ' broken' : ''}`}>
          <Picture name={item.picture} word={item.word} size={print ? 72 : 44} />
          <span className="literacy">{item.options.length > 0 ? item.options.join(' · ') : item.word}</span>
        </span>
      );
    case 'scene':
      return (
        <span className={`d-flex flex-wrap gap-2${broken ? ' broken' : ''}`}>
          {item.things.map((thing) => (
            <span key={thing.word} className="picture-item d-grid rounded gap-1 fs-5">
              <Picture name={thing.picture} word={thing.word} size={print ? 72 : 44} />
              <span className="literacy">{thing.word}</span>
            </span>
          ))}
        </span>
      );
    case 'text': {
      const whole = (
        <>
          <p className="literacy reading-text mb-1">{item.sentences.map((s) => s.text).join(' ')}</p>
          <p className="mb-0">
            <strong>{text('text.questions')}:</strong> {item.questions.join(' ')}
          </p>
        </>
      );
      return print ? (
        <div className={broken ? 'broken' : undefined}>
          <h4 className="literacy mb-1">{item.title}</h4>
          {whole}
        </div>
      ) : (
        <details className={broken ? 'broken' : undefined}>
          <summary>
            <span className="literacy fs-5">{item.title}</span>{' '}
            <span className="quiet small">{text('text.length', { sentences: item.sentences.length })}</span>
          </summary>
          {whole}
        </details>
      );
    }
    case 'crossword': {
      const whole = (
        <div className="d-flex gap-4 align-items-start">
          <CrosswordGrid item={item} answers={!print} />
          <CrosswordClues item={item} />
        </div>
      );
      return print ? (
        whole
      ) : (
        <details>
          <summary className="literacy fs-5">{item.lines.map((l) => l.word).join(', ')}</summary>
          {whole}
        </details>
      );
    }
    case 'missing-word':
      return (
        <span className={`sentence m-0 literacy${broken ? ' broken' : ''}`}>
          {item.before} ____
          {item.after} <small>{item.options.join(' · ')}</small>
        </span>
      );
    case 'prompt':
      return (
        <div className="prompt m-0 w-100">
          {textOf('prompt', item.code)} <strong>{text('prompt.words')}:</strong>{' '}
          <span className="literacy">{item.words.join(', ')}</span>
          {item.checklist && <ChecklistShown lines={item.checklist} />}
        </div>
      );
    case 'pair':
      return (
        <span className={`pair${broken ? ' broken' : ''}`}>
          <PairShown item={item} />
          {item.said !== null && item.said !== undefined && (
            <small>{text('pair.say', { word: item.said === 0 ? item.first : item.second })}</small>
          )}
        </span>
      );
    case 'build':
      return (
        <span className={`${card} d-inline-block`}>
          <ModelShown model={item.model} />
        </span>
      );
    case 'hunt':
      return (
        <div className={`sorted${broken ? ' broken' : ''}`}>
          {[...item.graphemes, null].map((grapheme, g) => (
            <span key={grapheme ?? '-'}>
              <strong className={grapheme ? 'literacy' : 'quiet'}>{grapheme ?? text('hunt.none')}</strong>
              <span className="literacy">
                {item.words
                  .filter((w) => w.target === (grapheme === null ? -1 : g))
                  .map((w) => w.word)
                  .join(', ')}
              </span>
            </span>
          ))}
        </div>
      );
    case 'chunk':
      return (
        <span className={card}>
          {item.text}
          <small className="card-sounds d-block">
            {soundText(item.sounds)} <span className="literacy">{item.example}</span>
          </small>
        </span>
      );
    case 'scramble':
      return (
        <span className={`sentence m-0 literacy${broken ? ' broken' : ''}`}>
          {item.pieces.join(' · ')} <small>{item.whole}</small>
        </span>
      );
    case 'mend':
      return (
        <span className={`sentence m-0 literacy${broken ? ' broken' : ''}`}>
          {item.given} <small>{item.right}</small>
        </span>
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
            <span className={w.status === 'decodable' ? undefined : `word-${w.status}`}>{w.text}</span>
          </Fragment>
        ))}
        {againstText(item.reasons) && <small> {againstText(item.reasons)}</small>}
      </span>
      {item.pictures && (
        <span className={print ? 'd-flex gap-2 mt-2' : 'ms-2'}>
          {item.pictures.map((p, i) => (
            <span key={p} className={!print && i === item.fits ? 'picture-fits rounded' : undefined}>
              <Picture name={p} size={print ? 48 : 32} />
            </span>
          ))}
        </span>
      )}
    </span>
  );
}
