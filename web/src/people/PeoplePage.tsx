import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Badge, Button } from 'react-bootstrap';
import { answered, client, type Schemas } from '../api/client';
import { nowStale } from '../api/stale';
import { groupsQuery } from '../groups/queries';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { momentText, text, textOf } from '../text/text';
import { InviteDialog } from './InviteDialog';
import { LinkDialog } from './LinkDialog';
import { PersonDialog } from './PersonDialog';
import { peopleQuery } from './queries';
import { seesAll } from './roles';

type Open =
  | { is: 'invite' }
  | { is: 'person'; person: Schemas['PersonView'] }
  | { is: 'link'; page: '/join' | '/reset'; link: Schemas['LinkView'] };

/** Who belongs to the school, what they may do, and the links that are out. Leads only. */
export function PeoplePage() {
  const { school } = useSchool();
  const queries = useQueryClient();
  const people = useQuery(peopleQuery(school.id));
  const groups = useQuery(groupsQuery(school.id));
  const [open, setOpen] = useState<Open | null>(null);
  usePageTitle(text('nav.people'));
  const takeBack = useMutation({
    mutationFn: (invitationId: string) =>
      answered(
        client.DELETE('/api/schools/{schoolId}/invitations/{invitationId}', {
          params: { path: { schoolId: school.id, invitationId } },
        }),
      ),
    onSuccess: () => void nowStale(queries, school.id, 'people'),
  });
  if (people.isPending) return <Loading />;
  if (people.error) return <ErrorNote problem={people.error} retry={() => void people.refetch()} />;
  const names = new Map(groups.data?.map((g) => [g.id, g.name]));
  const groupsOf = (of: { role: Schemas['Role']; groups: readonly string[] }) =>
    seesAll(of.role)
      ? text('people.all')
      : of.groups
          .map((id) => names.get(id))
          .filter((n) => n !== undefined)
          .sort()
          .join(', ') || text('people.none');
  return (
    <>
      <div className="d-flex flex-wrap justify-content-between align-items-start column-gap-3 mb-3">
        <div>
          <h1>{text('nav.people')}</h1>
          <p className="quiet">{text('people.intro')}</p>
        </div>
        <Button size="lg" onClick={() => setOpen({ is: 'invite' })}>
          {text('people.invite')}
        </Button>
      </div>
      <section className="panel">
        <ul className="list-unstyled m-0">
          {people.data.people.map((p) => (
            <li
              key={p.id}
              className={`row align-items-center gy-1 py-2 border-bottom${p.isActive ? '' : ' opacity-75'}`}
              data-person={p.name}
            >
              <div className="col-8 col-md-4">
                <strong>{p.name}</strong>{' '}
                {p.isYou && (
                  <Badge bg="light" text="dark" className="border">
                    {text('people.you')}
                  </Badge>
                )}
                <div className="quiet small text-break">{p.email}</div>
                {p.hasSecondFactor && <div className="quiet small">{text('people.codes')}</div>}
              </div>
              <div className="col-4 col-md-1 order-md-last text-end">
                <Button
                  size="sm"
                  variant="outline-primary"
                  aria-label={text('people.changeOf', { name: p.name })}
                  onClick={() => setOpen({ is: 'person', person: p })}
                >
                  {text('people.change')}
                </Button>
              </div>
              <div className="col-auto col-md-2">{p.isActive ? textOf('role', p.role) : text('people.gone')}</div>
              <div className="col-auto col-md-3 quiet">{groupsOf(p)}</div>
              <div className="col-12 col-md-2 quiet small">
                {text('people.seen')}: {p.seenAt ? momentText(p.seenAt) : text('people.never')}
              </div>
            </li>
          ))}
        </ul>
      </section>
      {people.data.invitations.length > 0 && (
        <section className="panel mt-3">
          <h2 className="fs-5">{text('people.open')}</h2>
          <p className="quiet small">{text('people.openWhy')}</p>
          <ul className="list-unstyled m-0">
            {people.data.invitations.map((i) => (
              <li key={i.id} className="d-flex flex-wrap align-items-center gap-3 border-top py-2">
                <strong>{i.for}</strong>
                <span>{textOf('role', i.role)}</span>
                <span className="quiet">{groupsOf(i)}</span>
                <span className="quiet">{text('people.until', { date: momentText(i.expiresAt) })}</span>
                <Button
                  className="ms-auto"
                  size="sm"
                  variant="outline-secondary"
                  disabled={takeBack.isPending}
                  aria-label={text('people.takeBackOf', { name: i.for })}
                  onClick={() => takeBack.mutate(i.id)}
                >
                  {text('people.takeBack')}
                </Button>
              </li>
            ))}
          </ul>
          {takeBack.error && <ErrorNote problem={takeBack.error} />}
        </section>
      )}
      {open?.is === 'invite' && (
        <InviteDialog
          canMail={people.data.canMail}
          onHide={() => setOpen(null)}
          onMade={(link) => setOpen({ is: 'link', page: '/join', link })}
        />
      )}
      {open?.is === 'person' && (
        <PersonDialog
          person={open.person}
          canMail={people.data.canMail}
          onHide={() => setOpen(null)}
          onLink={(link) => setOpen({ is: 'link', page: '/reset', link })}
        />
      )}
      {open?.is === 'link' && <LinkDialog page={open.page} link={open.link} onHide={() => setOpen(null)} />}
    </>
  );
}
