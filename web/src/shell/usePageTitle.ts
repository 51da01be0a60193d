import { useEffect } from 'react';
import { text } from '../text/text';

/** Names the page in the browser's tab. */
export function usePageTitle(title: string) {
  useEffect(() => {
    document.title = `${title} · ${text('app.name')}`;
  }, [title]);
}
