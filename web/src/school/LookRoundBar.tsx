import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client } from '../api/client';
import { useSchoolAddress } from '../session/SchoolRouter';
import { useSchool } from '../session/session';
import { Dialog } from '../shell/Dialog';
import { ErrorNote } from '../shell/ErrorNote';
import { text } from '../text/text';

/** Over every page of a school to look round in: that it is one, the way back, and the way to be rid of it. */
export function LookRoundBar() {
  const { session, school } = useSchool();
  const { enter } = useSchoolAddress();
  const [asking, setAsking] = useState(false);
  const own = session.schools.find((s) => !s.isLookRound);
  const remove = useMutation({
    mutationFn: () =>
      answered(client.DELETE('/api/schools/{schoolId}/look-round', { params: { path: { schoolId: school.id } } })),
    // Nothing of a school that is gone stays in the tab.
    onSuccess: () => window.location.assign(own ? `/s/${own.id}/` : '/'),
  });
  if (!school.isLookRound) return null;
  return (
    <aside
      className="look-round d-flex flex-wrap align-items-center gap-2 px-3 px-lg-4 py-2 no-print"
      aria-label={text('look.title')}
    >
      <span className="flex-grow-1">{text('look.title')}</span>
      {own && (
        <Button size="sm" onClick={() => enter(own.id, '/')}>
          {text('look.back', { school: own.name })}
        </Button>
      )}
      <Button size="sm" variant="outline-secondary" onClick={() => setAsking(true)}>
        {text('look.delete')}
      </Button>
      {asking && (
        <Dialog
          title={text('look.delete')}
          onHide={() => setAsking(false)}
          action={{
            label: text('look.deleteDo'),
            run: () => remove.mutate(),
            disabled: remove.isPending || remove.isSuccess,
            variant: 'danger',
          }}
        >
          <p>{text('look.deleteWhy')}</p>
          {remove.error && <ErrorNote problem={remove.error} />}
        </Dialog>
      )}
    </aside>
  );
}
