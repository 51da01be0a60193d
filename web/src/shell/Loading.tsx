import { text } from '../text/text';

export function Loading() {
  return (
    <p className="quiet py-4" role="status">
      {text('loading')}
    </p>
  );
}
