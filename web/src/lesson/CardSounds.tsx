import { soundText } from '../text/text';
import type { CardItem } from './kinds';

/** What a card says, with a word that children can read: of letters with several sounds each of them. */
export function CardSounds({ item }: { item: CardItem }) {
  return (
    <>
      {[item, ...(item.also ?? [])].map((s) => (
        <span key={s.correspondence} className="d-block">
          {soundText(s.sounds)} <span className="literacy">{s.example ?? s.keyWord}</span>
        </span>
      ))}
    </>
  );
}
