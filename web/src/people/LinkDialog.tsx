import type { Schemas } from '../api/client';
import { CopyLine } from '../shell/CopyLine';
import { Dialog } from '../shell/Dialog';
import { momentText, text } from '../text/text';

/** A link to give away: shown once, to be copied. Its key stays behind the #, so that no server log has it. */
export function LinkDialog({
  page,
  link,
  onHide,
}: {
  page: '/join' | '/reset';
  link: Schemas['LinkView'];
  onHide: () => void;
}) {
  return (
    <Dialog title={text('link.title')} onHide={onHide} cancel={text('link.done')}>
      {link.mailed === true && <p className="fw-bold">{text('link.mailed')}</p>}
      {link.mailed === false && <p className="flag-note py-2 px-3 rounded">{text('link.notMailed')}</p>}
      <p>{text('link.why')}</p>
      <CopyLine label={text('link.address')} value={`${window.location.origin}${page}#${link.key}`} />
      <p className="quiet small mt-2 mb-0">{text('link.until', { date: momentText(link.expiresAt) })}</p>
    </Dialog>
  );
}
