import { text } from '../text/text';

export function Loading() {
  return (
    <p className="quiet loading" role="status">
      {text('loading')}
    </p>
  );
}
