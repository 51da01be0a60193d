import { Button } from 'react-bootstrap';
import { text, textOf } from '../text/text';
import { When } from './ChosenWord';
import { Curve } from './Curve';
import { markOf } from './Editor';
import type { TextView } from './queries';

interface Props {
  view: TextView;
  bar: number;
  trickyMost: number;
  onChooseWord: (word: number) => void;
  onFirst: (words: readonly string[]) => void;
}

const MANY = 60;

/** What a text comes to: how much can be read, from when all of it, and the words that stand in the way. */
export function Findings({ view, bar, trickyMost, onChooseWord, onFirst }: Props) {
  const share = Math.floor(view.readable * 100);
  const standing = view.words
    .map((w, i) => ({ ...w, i }))
    .filter((w) => !w.isTold && (w.isNever || w.status === 'not-yet' || w.status === 'unknown'))
    .sort((a, b) => b.times - a.times);
  const tricky = view.words.filter((w) => w.status === 'tricky' && !w.isTold).length;
  const targets = view.words.filter((w) => w.hunt?.some((h) => h.isTarget)).reduce((sum, w) => sum + w.times, 0);
  const others = view.words.filter((w) => w.hunt && !w.hunt.some((h) => h.isTarget)).map((w) => w.text);
  const running = view.counts.reduce((sum, c) => sum + c.running, 0);
  return (
    <section className="panel" aria-label={text('texts.findings')}>
      {!view.looksEnglish && <p className="alert alert-warning py-2">{text('texts.notEnglish')}</p>}
      <div className="d-flex align-items-baseline flex-wrap column-gap-3" role="status">
        <strong className="text-share">{running === 0 ? '–' : text('texts.percent', { share })}</strong>
        <span>
          {view.reachesBar
            ? text('texts.reaches', { bar })
            : running === 0
              ? text('texts.empty')
              : text('texts.below', { count: standing.length })}
        </span>
      </div>
      {!view.reachesBar && running > 0 && view.along && (
        <p className="mb-2">
          {view.reached ? (
            <>
              {text('texts.reachedAt', { bar })}{' '}
              <strong>
                <When when={view.reached} />
              </strong>
            </>
          ) : (
            text('texts.neverReached', { bar, most: Math.floor(view.along.running.at(-1)! * 100) })
          )}
        </p>
      )}
      {view.along && running > 0 && <Curve along={view.along} bar={bar} />}
      {view.unread.length > 0 && (
        <p className="text-danger mb-2">{text('texts.unread', { what: view.unread.join(', ') })}</p>
      )}
      <dl className="text-counts mt-2 mb-2">
        {view.counts
          .filter((c) => c.running > 0)
          .map((c) => (
            <div key={c.status}>
              <dt>
                <span className={`literacy mark-${c.status}`}>{textOf('textStatus', c.status)}</span>
              </dt>
              <dd>{text('texts.count', { running: c.running, different: c.different })}</dd>
            </div>
          ))}
        {view.sentences.count > 0 && (
          <div>
            <dt>{text('texts.sentences')}</dt>
            <dd title={view.sentences.longestText}>
              {text('texts.sentenceLengths', {
                count: view.sentences.count,
                average: view.sentences.average,
                longest: view.sentences.longest,
              })}
            </dd>
          </div>
        )}
        {targets > 0 && (
          <div>
            <dt>{text('texts.targets')}</dt>
            <dd>{text('texts.targetCount', { count: targets })}</dd>
          </div>
        )}
        {others.length > 0 && (
          <div>
            <dt>{text('texts.otherJobs')}</dt>
            <dd className="literacy">{others.slice(0, 8).join(', ')}</dd>
          </div>
        )}
        {tricky > trickyMost && (
          <div>
            <dt>{text('texts.tricky')}</dt>
            <dd>{text('texts.trickyOver', { count: tricky, most: trickyMost })}</dd>
          </div>
        )}
      </dl>
      {view.teachFirst.length > 0 && (
        <p className="mb-3">
          {text('texts.teachFirst', { words: view.teachFirst.join(', ') })}{' '}
          <Button size="sm" variant="outline-primary" onClick={() => onFirst(view.teachFirst)}>
            {text('texts.first')}
          </Button>
        </p>
      )}
      {standing.length > 0 && (
        <>
          <h2 className="fs-6">{text('texts.standing')}</h2>
          <ul className="text-standing list-unstyled mb-0">
            {standing.slice(0, MANY).map((w) => (
              <li key={w.i}>
                <button type="button" className={`literacy ${markOf(w)}`} onClick={() => onChooseWord(w.i)}>
                  {w.text}
                </button>
                <span className="quiet">
                  {w.times > 1 && `× ${w.times} `}
                  {w.isNever ? (
                    text('texts.never')
                  ) : w.status === 'unknown' ? (
                    textOf('verdict', 'unknown')
                  ) : (
                    <When when={w.readable} />
                  )}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
