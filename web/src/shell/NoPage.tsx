import { Link } from 'react-router';
import { text } from '../text/text';

export function NoPage() {
  return (
    <section className="empty">
      <h1>{text('error.noPage')}</h1>
      <Link to="/">{text('error.home')}</Link>
    </section>
  );
}
