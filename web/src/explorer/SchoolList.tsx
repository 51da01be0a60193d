import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useSchool } from '../session/session';
import { text } from '../text/text';
import { schoolWordsQuery } from './queries';

/** What the school said of words: kept out, allowed, corrected. */
export function SchoolList() {
  const { school } = useSchool();
  const own = useQuery(schoolWordsQuery(school.id));
  if (!own.data || own.data.length === 0) return null;
  return (
    <section className="panel">
      <h2>{text('words.schoolList')}</h2>
      <ul className="list-unstyled">
        {own.data.map((w) => (
          <li key={w.word}>
            <Link className="literacy" to={`/words/${encodeURIComponent(w.word)}`}>
              {w.word}
            </Link>{' '}
            {text(`words.verdict.${w.verdict}`)}: {w.reason}
          </li>
        ))}
      </ul>
    </section>
  );
}
