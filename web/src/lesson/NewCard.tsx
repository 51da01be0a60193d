import { saysText, text, textOf } from '../text/text';
import type { CardItem } from './kinds';

/** What is new today: its kind and letter names, its sound, or where it stands in words. */
export function NewCard({ item }: { item: CardItem }) {
  const positions = item.positions;
  if (positions) {
    return (
      <ul className="positions list-unstyled d-flex flex-wrap column-gap-4 m-0" aria-label={text('card.positions')}>
        {(
          [
            ['card.start', positions.start, positions.startExample],
            ['card.middle', positions.middle, positions.middleExample],
            ['card.end', positions.end, positions.endExample],
          ] as const
        ).map(([label, share, example]) => (
          <li key={label}>
            {text(label)} {share}% <span className="literacy fs-5">{example}</span>
          </li>
        ))}
      </ul>
    );
  }
  return (
    <div className="d-flex gap-3 align-items-center">
      <span className="literacy new-grapheme text-center rounded px-2">{item.grapheme}</span>
      <div>
        <p className="m-0 fw-bold">{saysText(item.sounds, item.keyWord)}</p>
        <p className="quiet small m-0">
          {text('card.kind', {
            kind: textOf('kind', item.kind),
            count: item.letterNames.length,
            letters: item.letterNames.join(', '),
          })}{' '}
          {text(item.canBeHeld ? 'card.held' : 'card.short')}
        </p>
      </div>
    </div>
  );
}
