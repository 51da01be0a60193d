import { text } from '../text/text';
import { usePageTitle } from './usePageTitle';

/** What the product is, what it does not know, and whose data it stands on. */
export function AboutPage() {
  usePageTitle(text('about.title'));
  return (
    <article className="panel">
      <h1>{text('about.title')}</h1>
      <p>{text('about.what')}</p>
      <p>
        <strong>{text('about.unread')}</strong>
      </p>
      <p>{text('about.accents')}</p>
      <p>{text('about.care')}</p>
      <h2>{text('about.sources')}</h2>
      <ul>
        {(['sounds', 'counts', 'words', 'speech', 'unsuitable', 'pictures', 'fonts'] as const).map((source) => (
          <li key={source}>{text(`about.source.${source}`)}</li>
        ))}
      </ul>
    </article>
  );
}
