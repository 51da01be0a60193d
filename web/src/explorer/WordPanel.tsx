import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { VerdictLine } from '../lesson/VerdictLine';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { shareText, soundText, text, textOf } from '../text/text';
import { wordQuery } from './queries';
import { WordPicture } from './WordPicture';
import { MarkedWord } from '../words/MarkedWord';

type Word = Schemas['WordView'];

/** All that is known of a word, who can read it, and what the school says of it. */
export function WordPanel({ word }: { word: string }) {
  const { school } = useSchool();
  const known = useQuery(wordQuery(school.id, word));
  if (known.isPending) return <Loading />;
  if (known.error) {
    return (
      <section className="panel">
        <ErrorNote problem={known.error} />
      </section>
    );
  }
  const w = known.data;
  return (
    <section className="panel word-panel order-first order-lg-last text-break" aria-label={w.word}>
      <h2 className="word-big">
        <MarkedWord word={w.word} marks={w.marks} />
      </h2>
      {(w.source === 'derived' || w.source === 'guessed') && (
        <p className="flag-note py-2 px-3 rounded">{text(`words.source.${w.source}`)}</p>
      )}
      <p>
        /{w.phonemes.replaceAll('|', ' ')}/ · {text('words.facts', { taps: w.taps, sounds: w.sounds, shape: w.shape })}
        {w.syllables.length > 1 && ` · ${w.syllables.join('·')}`}
        {w.patterns.length > 0 && ` · ${w.patterns.map((p) => textOf('pattern', p)).join(', ')}`}
      </p>
      <p className="quiet">
        {text(`words.suitability.${w.suitability}`)} · {w.knownAtFive ? `${text('reason.known-at-five')} · ` : ''}
        {text('words.common', { value: w.common })}
      </p>
      {w.meaning && (
        <p>
          <strong>{text('words.meaning')}:</strong> {w.meaning}
        </p>
      )}
      <h3>{text('words.groups')}</h3>
      {w.groups.map((g) => (
        <div key={g.groupId}>
          <VerdictLine verdict={g.verdict} name={g.group} />
          {g.keptOut && <KeptOut groupId={g.groupId} word={w.word} />}
        </div>
      ))}
      <h3>{text('words.parts')}</h3>
      <ul className="list-unstyled">
        {w.parts.map((p, i) => (
          <li key={i}>
            <span className="literacy fs-5">{p.grapheme}</span> {soundText(p.sounds)}
            {p.facts?.readingReliability.inWords != null && (
              <span className="quiet">
                {' '}
                · {text('words.saysThis', { share: shareText(p.facts.readingReliability.inWords) })}
              </span>
            )}
            {p.facts?.spellingShare.inWords != null && (
              <span className="quiet">
                {' '}
                · {text('words.spelledSo', { share: shareText(p.facts.spellingShare.inWords) })}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Others title={text('words.same')} words={w.soundsTheSame} />
      <Others title={text('words.rhymes')} words={w.rhymes} />
      <Others title={text('words.pairs')} words={w.oneSoundApart.map((p) => p.word)} />
      <WordPicture key={w.word} word={w.word} />
      <SchoolSays word={w} />
    </section>
  );
}

/** A word that is not to come in a group's lessons, until someone lets it. */
function KeptOut({ groupId, word }: { groupId: string; word: string }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const letCome = useMutation({
    mutationFn: () =>
      answered(
        client.DELETE('/api/schools/{schoolId}/groups/{groupId}/kept-out/{word}', {
          params: { path: { schoolId: school.id, groupId, word } },
        }),
      ),
    onSuccess: () => void nowStale(queries, school.id, 'keptOut'),
  });
  return (
    <p className="flag-note py-2 px-3 rounded">
      {text('words.keptOut')}{' '}
      <Button size="sm" variant="outline-primary" disabled={letCome.isPending} onClick={() => letCome.mutate()}>
        {text('words.letCome')}
      </Button>
    </p>
  );
}

function Others({ title, words }: { title: string; words: readonly string[] }) {
  if (words.length === 0) return null;
  return (
    <p>
      <strong>{title}:</strong>{' '}
      {words.map((other) => (
        <Link key={other} className="literacy me-3" to={`/words/${encodeURIComponent(other)}`}>
          {other}
        </Link>
      ))}
    </p>
  );
}

/** Keeps a word out, lets it in, or cuts it otherwise, for the whole school and with a reason. */
function SchoolSays({ word }: { word: Word }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const [verdict, setVerdict] = useState<Schemas['SchoolVerdict']>(word.suitability === 'ask' ? 'allow' : 'ban');
  const [reason, setReason] = useState('');
  const [graphemes, setGraphemes] = useState(word.graphemes);
  const [phonemes, setPhonemes] = useState(word.phonemes);
  const path = { schoolId: school.id, word: word.word };
  const settled = () => void nowStale(queries, school.id, 'word');
  const say = useMutation({
    mutationFn: () =>
      answered(
        client.PUT('/api/schools/{schoolId}/words/{word}/verdict', {
          params: { path, header: { 'If-Match': word.stamp } },
          body: {
            verdict,
            reason,
            graphemes: verdict === 'correct' ? graphemes : null,
            phonemes: verdict === 'correct' ? phonemes : null,
          },
        }),
      ),
    onSuccess: settled,
  });
  const takeBack = useMutation({
    mutationFn: () =>
      answered(
        client.DELETE('/api/schools/{schoolId}/words/{word}/verdict', {
          params: { path, header: { 'If-Match': word.stamp } },
        }),
      ),
    onSuccess: settled,
  });
  if (word.school) {
    return (
      <p className="flag-note py-2 px-3 rounded">
        {text('words.school')}: {text(`words.verdict.${word.school.verdict}`)}, {word.school.reason}{' '}
        {school.role === 'lead' && (
          <Button size="sm" variant="outline-primary" disabled={takeBack.isPending} onClick={() => takeBack.mutate()}>
            {text('words.takeBack')}
          </Button>
        )}
      </p>
    );
  }
  if (school.role !== 'lead' || word.source !== 'lexicon') return null;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    say.mutate();
  };
  return (
    <Form onSubmit={submit} className="d-grid gap-2">
      <h3>{text('words.school')}</h3>
      <Form.Select
        size="sm"
        value={verdict}
        aria-label={text('words.school')}
        onChange={(e) => setVerdict(e.target.value as Schemas['SchoolVerdict'])}
      >
        {word.suitability === 'use' && <option value="ban">{text('words.ban')}</option>}
        {word.suitability === 'ask' && <option value="allow">{text('words.allow')}</option>}
        <option value="correct">{text('words.correct')}</option>
      </Form.Select>
      {verdict === 'correct' && (
        <div className="cut-fields d-grid gap-2">
          <Form.Control
            size="sm"
            className="literacy"
            value={graphemes}
            aria-label={text('words.graphemes')}
            onChange={(e) => setGraphemes(e.target.value)}
          />
          <Form.Control
            size="sm"
            value={phonemes}
            aria-label={text('words.phonemes')}
            onChange={(e) => setPhonemes(e.target.value)}
          />
        </div>
      )}
      <Form.Control
        size="sm"
        value={reason}
        maxLength={200}
        placeholder={text('words.reason')}
        aria-label={text('words.reason')}
        onChange={(e) => setReason(e.target.value)}
      />
      <Button size="sm" className="me-auto" type="submit" disabled={say.isPending || reason.trim().length === 0}>
        {text('words.save')}
      </Button>
      {(say.error ?? takeBack.error) && <ErrorNote problem={(say.error ?? takeBack.error)!} />}
    </Form>
  );
}
