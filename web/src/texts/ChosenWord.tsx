import { useQuery } from '@tanstack/react-query';
import { Button } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { dayText, labelText, text, textOf } from '../text/text';
import type { Piece } from './marks';
import { needText } from './needs';
import { insteadQuery, type Level, type TextWord } from './queries';

interface Props {
  body: string;
  level: Level;
  first: readonly string[];
  piece: Piece;
  word: TextWord;
  onRewrite: (start: number, length: number, by: string) => void;
  onTold: (word: string, told: boolean) => void;
  onFirst: (word: string, first: boolean) => void;
}

/** What is known of a word of the text, and what can be done about it. */
export function ChosenWord({ body, level, first, piece, word, onRewrite, onTold, onFirst }: Props) {
  const { school } = useSchool();
  const stands = !word.isTold && (word.status === 'not-yet' || word.status === 'unknown' || word.isNever);
  const plain = piece.text.toLowerCase().replaceAll('’', "'");
  const isFirst = first.includes(plain);
  const instead = useQuery(
    insteadQuery(school.id, stands ? { text: body, start: piece.start, level, firstWords: [...first] } : null),
  );
  return (
    <section className="panel" aria-live="polite">
      <h2 className="literacy fs-2 mb-1">{piece.text}</h2>
      <p className="mb-2">
        {word.isNever
          ? text('texts.never')
          : word.isTold
            ? text('texts.isTold')
            : isFirst
              ? text('texts.isFirst')
              : textOf('verdict', word.status)}
        {word.isName && !word.isTold && ` · ${text('texts.isName')}`}
        {word.times > 1 && ` · ${text('texts.times', { times: word.times })}`}
      </p>
      {stands && word.needs.length > 0 && (
        <ul className="mb-2">
          {word.needs.map((n) => (
            <li key={n.what}>{needText(n)}</li>
          ))}
        </ul>
      )}
      {word.hunt?.some((h) => !h.isTarget) && <p className="mb-2">{text('texts.otherJob')}</p>}
      {stands && (
        <>
          <h3 className="fs-6 mb-1">{text('texts.instead')}</h3>
          {instead.data && instead.data.words.length === 0 && <p className="quiet mb-2">{text('texts.noInstead')}</p>}
          <div className="d-flex flex-wrap gap-2 mb-3">
            {(instead.data?.words ?? []).map((w) => (
              <Button
                key={w.words}
                variant={w.words ? 'outline-primary' : 'outline-secondary'}
                className={w.words ? 'literacy' : undefined}
                onClick={() => onRewrite(w.start, w.length, w.text)}
              >
                {w.words || text('texts.leaveOut')}
              </Button>
            ))}
          </div>
          {(instead.data?.sentences.length ?? 0) > 0 && (
            <>
              <h3 className="fs-6 mb-1">{text('texts.insteadSentence')}</h3>
              <div className="d-grid gap-1 mb-3">
                {instead.data!.sentences.map((s) => (
                  <Button
                    key={s}
                    variant="outline-secondary"
                    className="literacy text-start"
                    onClick={() => onRewrite(instead.data!.sentenceStart, instead.data!.sentenceLength, s)}
                  >
                    {s}
                  </Button>
                ))}
              </div>
            </>
          )}
        </>
      )}
      <div className="d-flex flex-wrap gap-2">
        {(stands || word.isTold) && (
          <Button size="sm" variant="outline-secondary" onClick={() => onTold(plain, !word.isTold)}>
            {text(word.isTold ? 'texts.untell' : 'texts.tell')}
          </Button>
        )}
        {((stands && word.status === 'not-yet') || isFirst) && (
          <Button size="sm" variant="outline-secondary" onClick={() => onFirst(plain, !isFirst)}>
            {text(isFirst ? 'texts.unfirst' : 'texts.first')}
          </Button>
        )}
      </div>
    </section>
  );
}

/** The rung that brings something, with its day. */
export function When({ when }: { when: Schemas['WhenView'] | null }) {
  if (!when) return <>{text('texts.neverHere')}</>;
  return (
    <>
      {labelText(when.rung)}
      {when.date && `, ${dayText(when.date)}`}
    </>
  );
}
