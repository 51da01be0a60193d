import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, client } from '../api/client';
import { useSchool } from '../session/session';
import { text } from '../text/text';

/** What the school said of words: kept out, allowed, corrected. */
export function SchoolList() {
  const { school } = useSchool();
  const own = useQuery({
    queryKey: ['school-words', school.id],
    queryFn: () => answered(client.GET('/api/schools/{schoolId}/school-words', { params: { path: { schoolId: school.id } } })),
  });
  if (!own.data || own.data.length === 0) return null;
  return (
    <section className="panel">
      <h2>{text('words.schoolList')}</h2>
      <ul className="school-words">
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
