import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Form } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { labelText, shareText, text, warningText } from '../text/text';
import { MarkedWord } from '../words/MarkedWord';
import { shown } from '../words/spelling';

/** A rung's words with their segmentation, easiest first. */
export function RungPanel({ ladder, rung, number }: { ladder: Schemas['LadderView']; rung: Schemas['RungView']; number: number }) {
  const { school } = useSchool();
  const [find, setFind] = useState('');
  const words = useQuery({
    queryKey: ['rung-words', school.id, ladder.id, ladder.version, rung.id],
    queryFn: () =>
      answered(
        client.GET('/api/schools/{schoolId}/ladders/{ladderId}/versions/{version}/rungs/{rungId}/words', {
          params: { path: { schoolId: school.id, ladderId: ladder.id, version: ladder.version, rungId: rung.id } },
        }),
      ),
    staleTime: Infinity,
  });
  const [knownOnly, setKnownOnly] = useState(false);
  const matching = words.data?.filter((w) => w.word.includes(find.trim().toLowerCase()) && (w.knownAtFive || !knownOnly)) ?? [];
  return (
    <>
      <h2>{text('ladder.rung', { number, label: labelText(rung.label) })}</h2>
      <p>
        {rung.correspondences.map((c) => (
          <span key={c.notation} className="correspondence">
            <span className="literacy">{c.grapheme}</span> /{c.sounds}/ <span className="quiet">{text('ladder.asIn', { word: c.keyWord })}</span>
          </span>
        ))}
      </p>
      {rung.correspondences.length > 0 && <FactsTable correspondences={rung.correspondences} />}
      {rung.tricky.length > 0 && <p className="quiet">{text('ladder.tricky', { words: rung.tricky.map(shown).join(', ') })}</p>}
      {rung.graduates.length > 0 && <p className="quiet">{text('ladder.graduates', { words: rung.graduates.map(shown).join(', ') })}</p>}
      {rung.warnings.map((warning) => (
        <p key={warning.code + warning.arguments.join()} className="flag-note">
          {warningText(warning)}
        </p>
      ))}
      <p className="quiet">{text('ladder.shareOf', { share: shareText(rung.textShare) })}</p>
      {rung.reason && <p className="flag-note">{text('ladder.thinWhy')}</p>}
      {words.isPending && <Loading />}
      {words.error && <ErrorNote problem={words.error} retry={() => void words.refetch()} />}
      {words.data && (
        <>
          <h3>{text('ladder.unlocked', { count: words.data.length })}</h3>
          {words.data.length === 0 && <p className="quiet">{text('ladder.noWords')}</p>}
          {words.data.length > 12 && (
            <Form.Control className="find" type="search" aria-label={text('ladder.search')} placeholder={text('ladder.search')} value={find} onChange={(e) => setFind(e.target.value)} />
          )}
          {rung.knownWords > 0 && rung.knownWords < words.data.length && (
            <Form.Check
              id="known-only"
              className="find"
              label={`${text('ladder.knownOnly')} (${rung.knownWords})`}
              checked={knownOnly}
              onChange={(e) => setKnownOnly(e.target.checked)}
            />
          )}
          {words.data.length > 0 && matching.length === 0 && <p className="quiet">{text('ladder.noMatch', { text: find })}</p>}
          <ul className="rung-words">
            {matching.map((w) => (
              <li key={w.word} title={`/${w.phonemes.replaceAll('|', ' ')}/`}>
                <MarkedWord word={w.word} marks={w.marks} />
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}

/** How far each correspondence can be relied on, counted two ways. */
function FactsTable({ correspondences }: { correspondences: Schemas['CorrespondenceView'][] }) {
  const cell = (share: number | null | undefined) => (share === null || share === undefined ? '–' : shareText(share));
  return (
    <table className="facts">
      <thead>
        <tr>
          <td />
          <th scope="col">{text('facts.inText')}</th>
          <th scope="col">{text('facts.inWords')}</th>
        </tr>
      </thead>
      <tbody>
        {correspondences.flatMap((c) => [
          <tr key={`${c.notation} says`}>
            <th scope="row">{text('facts.says', { letters: c.grapheme, sound: c.sounds })}</th>
            <td>{cell(c.facts.readingReliability.inText)}</td>
            <td>{cell(c.facts.readingReliability.inWords)}</td>
          </tr>,
          <tr key={`${c.notation} spelled`}>
            <th scope="row">{text('facts.spelled', { letters: c.grapheme, sound: c.sounds })}</th>
            <td>{cell(c.facts.spellingShare.inText)}</td>
            <td>{cell(c.facts.spellingShare.inWords)}</td>
          </tr>,
        ])}
      </tbody>
    </table>
  );
}
