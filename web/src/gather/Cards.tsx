import { Button } from 'react-bootstrap';
import { Picture } from '../lesson/Picture';
import { useSchool } from '../session/session';
import { text } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';

export interface CardSet {
  kind: 'grapheme' | 'word' | 'tricky' | 'picture';
  cards: { key: string; word?: string; marks?: number[]; tricky?: number[]; picture?: string }[];
}

/** Cards on the school's paper with lines to cut along; in black, so that any printer will do. */
export function Cards({ set, onBack }: { set: CardSet; onBack: () => void }) {
  const { school } = useSchool();
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <Button onClick={() => window.print()}>{text('gather.print')}</Button>
        <Button variant="link" onClick={onBack}>
          ← {text('gather.back')}
        </Button>
        <span className="quiet">{text('cards.help', { paper: school.paperSize })}</span>
      </div>
      <h1 className="visually-hidden">{text(`cards.title.${set.kind}`)}</h1>
      <div className={`cut-cards d-grid my-0 mx-auto cut-${set.kind} paper-${school.paperSize.toLowerCase()}`}>
        {set.cards.map((card) => (
          <div key={card.key} className="cut-card d-flex align-items-center justify-content-center lh-1">
            {card.picture ? (
              <Picture name={card.picture} size={150} />
            ) : card.marks ? (
              <MarkedWord word={card.word!} marks={card.marks} tricky={card.tricky ?? []} />
            ) : (
              <span className="literacy">{shown(card.word!)}</span>
            )}
          </div>
        ))}
      </div>
    </>
  );
}
