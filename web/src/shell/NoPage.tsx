import { Link } from 'react-router';
import { text } from '../text/text';

export function NoPage() {
  return (
    <section className="py-4">
      <h1>{text('error.noPage')}</h1>
      <Link to="/">{text('error.home')}</Link>
    </section>
  );
}
