import { useQuery } from '@tanstack/react-query';
import { Button, Form } from 'react-bootstrap';
import { Link, useParams } from 'react-router';
import { groupsQuery } from '../groups/queries';
import { useChoices } from '../printing/choices';
import { usePrinting } from '../printing/PrintingPage';
import { useSchool } from '../session/session';
import { useActions } from '../shell/actions';
import { ErrorNote } from '../shell/ErrorNote';
import { Kbd } from '../shell/Kbd';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { dayText, text, textOf } from '../text/text';
import { readingQuery } from './queries';

/** A text on paper: line by line, with what is hunted, what only looks like it, questions, and three readings. */
export function ReadingSheetPage() {
  const { school } = useSchool();
  const { textId = '' } = useParams();
  const { params, choose } = useChoices();
  const groups = useQuery(groupsQuery(school.id)).data ?? [];
  const groupId = params.get('group') ?? groups[0]?.id ?? '';
  const answers = params.get('answers') === '1';
  const reading = useQuery(readingQuery(school.id, textId, groupId));
  usePageTitle(text('texts.huntSheet'));
  usePrinting();
  useActions([{ keys: ['p'], label: 'keys.printPage', run: () => window.print() }]);
  if (reading.error) return <ErrorNote problem={reading.error} retry={() => void reading.refetch()} />;
  if (!reading.data) return <Loading />;
  const r = reading.data;
  return (
    <>
      <div className="no-print d-flex flex-wrap gap-3 align-items-end mb-3">
        <Form.Group controlId="reading-group">
          <Form.Label className="quiet mb-1">{text('texts.forGroup')}</Form.Label>
          <Form.Select value={groupId} onChange={(e) => choose({ group: e.target.value })}>
            {groups.map((g) => (
              <option key={g.id} value={g.id}>
                {g.name}
              </option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Check
          id="reading-answers"
          className="mb-2"
          label={text('texts.withAnswers')}
          checked={answers}
          onChange={(e) => choose({ answers: e.target.checked ? '1' : null })}
        />
        <Button onClick={() => window.print()}>
          {text('texts.print')} <Kbd of="p" />
        </Button>
        <Link className="mb-2" to={`/texts/own/${textId}`}>
          ← {text('texts.backToText')}
        </Link>
      </div>
      <article className="paper" aria-label={r.title}>
        <header>
          <h2 className="literacy">{r.title}</h2>
          {answers ? <span>{text('paper.answers')}</span> : <span className="paper-name">{text('paper.name')}</span>}
        </header>
        <p className="paper-say">
          <span className="paper-adult">{text('paper.adult')}</span>
          {r.targets.length > 0 ? text('texts.huntSay', { targets: r.targets.join(', ') }) : text('texts.readSay')}
        </p>
        <div className="paper-body">
          <ol className="reading-lines literacy">
            {r.lines.map((l, i) => (
              <li key={i}>
                {l.words.map((w, j) => (
                  <span key={j}>
                    {j > 0 && ' '}
                    <span className={answers && w.hunt?.some((h) => h.isTarget) ? 'reading-found' : undefined}>
                      {w.text}
                    </span>
                  </span>
                ))}
              </li>
            ))}
          </ol>
          {answers && r.words.length > 0 && (
            <p>
              {text('texts.huntWords')} <strong className="literacy">{r.words.join(', ')}</strong>
            </p>
          )}
          {answers && r.lookAlikes.length > 0 && (
            <p>
              {text('texts.huntOthers')} <strong className="literacy">{r.lookAlikes.join(', ')}</strong>
            </p>
          )}
          {!answers && r.targets.length > 0 && (
            <p className="reading-blank">{text('texts.huntCount', { targets: r.targets.join(', ') })}</p>
          )}
          {r.questions.length > 0 && (
            <>
              <p className="paper-say mb-1">
                <span className="paper-adult">{text('paper.adult')}</span>
                {text('texts.questionsSay')}
              </p>
              <ol>
                {r.questions.map((q) => (
                  <li key={q}>{q}</li>
                ))}
              </ol>
            </>
          )}
          <table className="reading-days">
            <tbody>
              {r.days.map((d) => (
                <tr key={d.focus}>
                  <th>{dayText(d.day)}</th>
                  <td>{textOf('focusSay', d.focus)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <footer>{text('print.footer', { group: r.groupName, date: dayText(r.date) })}</footer>
      </article>
    </>
  );
}
