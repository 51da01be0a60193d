import { countOf, saysText, text, textOf, trickyWay } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { CardSounds } from './CardSounds';
import { flagOf } from './flags';
import { ItemShown } from './ItemShown';
import type { Activity, Item } from './kinds';

/** An item with all that the adult is to know of it: what is said with it, how it sounds, where it stands. */
export function AdultItem({ item, activity }: { item: Item; activity: Activity }) {
  if (item.$type === 'word' && (activity.kind === 'hear-sound' || !flagOf(item.reasons))) {
    return (
      <span className="literacy sheet-word">
        <MarkedWord word={item.word} marks={item.marks} tricky={item.tricky} chunks={item.chunks ?? []} />
        {(activity.kind === 'spell-words' || activity.kind === 'spell-tricky') && <small>{countOf(item)}</small>}
        {item.tricky.length > 0 && trickyWay() === 'by-heart' && activity.kind === 'new-tricky-word' && (
          <small>{[...item.word].join(' · ')}</small>
        )}
        {item.sentence && <small>“{item.sentence}”</small>}
        {item.meaning && <small>({item.meaning})</small>}
      </span>
    );
  }
  if (item.$type === 'card' && activity.kind === 'new-correspondence') {
    return (
      <span className="sheet-card">
        <b className="literacy">{item.grapheme}</b>
        <span>
          {saysText(item.sounds, item.keyWord)}.{' '}
          {text('card.kind', {
            kind: textOf('kind', item.kind),
            count: item.letterNames.length,
            letters: item.letterNames.join(', '),
          })}{' '}
          {text(item.canBeHeld ? 'card.held' : 'card.short')}
        </span>
      </span>
    );
  }
  if (item.$type === 'card' && item.positions) {
    const at = item.positions;
    return (
      <span>
        <b className="literacy">{item.grapheme}</b> {text('card.start')} {at.start}%{' '}
        <span className="literacy">{at.startExample}</span> · {text('card.middle')} {at.middle}%{' '}
        <span className="literacy">{at.middleExample}</span> · {text('card.end')} {at.end}%{' '}
        <span className="literacy">{at.endExample}</span>
      </span>
    );
  }
  if (item.$type === 'card' && !['mouth-cue', 'memory-phrase'].includes(activity.kind) && !item.own?.formation)
    return (
      <span className="sheet-grapheme">
        <b className="literacy">{item.grapheme}</b>
        {(activity.kind === 'grapheme-cards' || activity.kind === 'last-miss') && (
          <small>
            <CardSounds item={item} />
          </small>
        )}
      </span>
    );
  const answer = answerOf(item);
  return (
    <>
      <ItemShown item={item} kind={activity.kind} print />
      {answer && <small className="answer"> → {answer}</small>}
    </>
  );
}

/** What is right, where children choose or fill in and the item as it is printed does not tell. */
function answerOf(item: Item): string {
  switch (item.$type) {
    case 'choice':
    case 'missing-word':
      return item.word;
    case 'picture':
      return item.options.length > 0 ? item.word : '';
    case 'crossword':
      return item.lines.map((l) => `${l.number}\u00a0${l.word}`).join(', ');
    case 'sentence':
      return item.pictures ? text('picture.fits', { at: (item.fits ?? 0) + 1 }) : '';
    default:
      return '';
  }
}
