import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { answered, client, type Schemas } from '../api/client';
import { groupsQuery } from '../groups/queries';
import { mayChange } from '../people/roles';
import { useSchool } from '../session/session';
import { ErrorNote } from '../shell/ErrorNote';
import { Loading } from '../shell/Loading';
import { usePageTitle } from '../shell/usePageTitle';
import { text } from '../text/text';
import { ChildDialog } from './ChildDialog';
import { childrenQuery } from './queries';

type Child = Schemas['ChildView'];

/** More than this on a page helps nobody. */
const MOST = 400;
const NONE = 'none';

/** Who is in which group, and who is away today. */
export function ChildrenPage() {
  const { school } = useSchool();
  const lead = school.role === 'lead';
  const children = useQuery(childrenQuery(school.id));
  const groups = useQuery(groupsQuery(school.id));
  const [group, setGroup] = useState('');
  const [sought, setSought] = useState('');
  const [open, setOpen] = useState<Child | null>(null);
  usePageTitle(text('nav.children'));
  if (children.isPending || groups.isPending) return <Loading />;
  if (children.error) return <ErrorNote problem={children.error} retry={() => void children.refetch()} />;
  if (groups.error) return <ErrorNote problem={groups.error} retry={() => void groups.refetch()} />;
  const all = children.data.children;
  const found = all.filter(
    (c) =>
      (group === '' || (c.groupId ?? NONE) === group) && c.name.toLowerCase().includes(sought.trim().toLowerCase()),
  );
  const places = [
    ...groups.data.map((g) => ({ id: g.id, name: g.name })),
    { id: NONE, name: text('children.noGroup') },
  ];
  const shown = found.slice(0, MOST);
  return (
    <>
      <div className="d-flex flex-wrap justify-content-between align-items-start column-gap-3 mb-3">
        <div>
          <h1>{text('nav.children')}</h1>
          <p className="quiet">{text('children.intro')}</p>
        </div>
        {lead && (
          <Link className="btn btn-primary btn-lg" to="/children/import">
            {text('children.takeIn')}
          </Link>
        )}
      </div>
      {all.length === 0 ? (
        <p className="py-4">{text(lead ? 'children.none' : 'children.noneYours')}</p>
      ) : (
        <div className="d-flex flex-wrap gap-2 mb-3">
          <Form.Control
            className="children-find"
            type="search"
            aria-label={text('children.find')}
            placeholder={text('children.find')}
            value={sought}
            onChange={(e) => setSought(e.target.value)}
          />
          {groups.data.length > 1 && (
            <Form.Select
              className="w-auto"
              aria-label={text('children.group')}
              value={group}
              onChange={(e) => setGroup(e.target.value)}
            >
              <option value="">{text('children.all')}</option>
              {places.map((p) => (
                <option key={p.id} value={p.id}>
                  {p.name}
                </option>
              ))}
            </Form.Select>
          )}
        </div>
      )}
      {all.length > 0 && found.length === 0 && (
        <p className="py-3">{text(sought.trim() === '' ? 'children.noneHere' : 'children.noMatch')}</p>
      )}
      {places.map((p) => {
        const here = shown.filter((c) => (c.groupId ?? NONE) === p.id);
        const away = here.filter((c) => c.isAway).length;
        return (
          here.length > 0 && (
            <section key={p.id} className="panel mb-3" aria-label={p.name}>
              <h2 className="fs-5 d-flex flex-wrap column-gap-3 align-items-baseline">
                {p.name}
                <span className="quiet fs-6 fw-normal">
                  {text('children.count', { count: here.length })}
                  {away > 0 && `, ${text('children.awayCount', { count: away })}`}
                </span>
              </h2>
              <ul className="list-unstyled m-0 row row-cols-1 row-cols-md-2 row-cols-xl-3">
                {here.map((c) => (
                  <ChildRow key={c.id} child={c} {...(lead ? { onChange: () => setOpen(c) } : {})} />
                ))}
              </ul>
            </section>
          )
        );
      })}
      {found.length > MOST && <p className="quiet">{text('children.more', { count: found.length - MOST })}</p>}
      {open && <ChildDialog child={open} groups={groups.data} onHide={() => setOpen(null)} />}
    </>
  );
}

function ChildRow({ child, onChange }: { child: Child; onChange?: () => void }) {
  const { school } = useSchool();
  const queries = useQueryClient();
  const away = useMutation({
    mutationFn: (isAway: boolean) =>
      answered(
        client.POST('/api/schools/{schoolId}/children/{childId}/away', {
          params: { path: { schoolId: school.id, childId: child.id } },
          body: { date: school.today, isAway },
        }),
      ),
    onSuccess: (view) => queries.setQueryData(childrenQuery(school.id).queryKey, view),
  });
  return (
    <li className="col ps-0 border-top py-1 d-flex flex-wrap align-items-center gap-2" data-child={child.name}>
      <strong className={`flex-grow-1 text-break${child.isAway ? ' quiet' : ''}`}>
        {school.role === 'helper' ? child.name : <Link to={`/children/${child.id}/memory`}>{child.name}</Link>}
      </strong>
      {mayChange(school.role) ? (
        <Form.Check
          type="switch"
          role="switch"
          id={`away-${child.id}`}
          label={text('children.away')}
          aria-label={text('children.awayOf', { name: child.name })}
          checked={child.isAway}
          disabled={away.isPending}
          onChange={(e) => away.mutate(e.target.checked)}
        />
      ) : (
        child.isAway && <span className="quiet">{text('children.away')}</span>
      )}
      {onChange && (
        <Button
          size="sm"
          variant="link"
          aria-label={text('children.changeOf', { name: child.name })}
          onClick={onChange}
        >
          {text('children.change')}
        </Button>
      )}
      {away.error && <ErrorNote problem={away.error} />}
    </li>
  );
}
