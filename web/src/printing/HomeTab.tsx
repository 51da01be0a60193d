import { useQuery } from '@tanstack/react-query';
import { Button, Form } from 'react-bootstrap';
import type { Schemas } from '../api/client';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { dayText, plainSoundText, text, textOf } from '../text/text';
import { shown } from '../words/spelling';
import { useChoices } from './choices';
import { homeQuery, type Day } from './queries';

/** What families get of a lesson, to print or to change. */
export function HomeTab({ day }: { day: Day }) {
  const { params, choose } = useChoices();
  const large = params.has('large');
  const home = useQuery(homeQuery(day));
  if (home.isPending) return <Loading />;
  if (home.error) return <ErrorNote problem={home.error} retry={() => void home.refetch()} />;
  const file = `/api/schools/${day.schoolId}/groups/${day.groupId}/files/${day.date}/home.docx${large ? '?large=true' : ''}`;
  return (
    <>
      <div className="no-print d-flex flex-wrap align-items-center gap-3 mb-3">
        <Form.Check
          type="switch"
          id="home-large"
          label={text('home.large')}
          checked={large}
          onChange={(e) => choose({ large: e.target.checked ? '1' : null })}
        />
        <Button onClick={() => window.print()}>{text('gather.print')}</Button>
        <a className="btn btn-link" href={file} download>
          {text('paper.word')}
        </a>
        <span className="quiet">{text('home.help')}</span>
      </div>
      <HomeSheet view={home.data} large={large} />
    </>
  );
}

function HomeSheet({ view, large }: { view: Schemas['HomeView']; large: boolean }) {
  const { sheet } = view;
  return (
    <article
      className={`paper home${large ? ' home-large' : ''}`}
      aria-label={text('home.title', { group: view.groupName })}
    >
      <header>
        <h2>{text('home.title', { group: view.groupName })}</h2>
      </header>
      <p>{view.greeting || text('home.greeting')}</p>
      {sheet.news.length + sheet.patterns.length > 0 ? (
        <section>
          <h3>{text('home.new', { date: dayText(view.date) })}</h3>
          {sheet.news.map((card) => (
            <p key={card.correspondence} className="home-new">
              <strong className="literacy">{card.grapheme}</strong>
              <span>
                {plainSoundText(card.sounds, card.keyWord)}. {text(card.canBeHeld ? 'home.held' : 'home.short')}
              </span>
            </p>
          ))}
          {sheet.patterns.map((p) => (
            <p key={p}>{textOf('pattern', p)}</p>
          ))}
        </section>
      ) : (
        <h3>{text('home.again')}</h3>
      )}
      {sheet.words.length > 0 && (
        <section>
          <h3>{text('home.words')}</h3>
          <p>{text('home.wordsHow')}</p>
          <div className="home-words literacy">
            {sheet.words.map((w) => (
              <span key={w.id}>{shown(w.word)}</span>
            ))}
          </div>
        </section>
      )}
      {sheet.tricky.length > 0 && (
        <section>
          <h3>{text('home.tricky')}</h3>
          <p>{text('home.trickyHow')}</p>
          <p className="home-tricky literacy">
            {sheet.tricky.map((w) => (
              <span key={w.id}>{shown(w.word)}</span>
            ))}
          </p>
        </section>
      )}
      {sheet.sentence && (
        <section>
          <h3>{text('home.sentence')}</h3>
          <p className="literacy home-sentence">{sheet.sentence}</p>
        </section>
      )}
      <section>
        <h3>{text('home.play')}</h3>
        <p>{textOf('homeGame', sheet.game)}</p>
      </section>
      <footer>{text('print.footer', { group: view.groupName, date: dayText(view.date) })}</footer>
    </article>
  );
}
