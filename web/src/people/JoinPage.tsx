import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { answered, client, forgetToken, type Schemas } from '../api/client';
import { goSignIn } from '../session/signIn';
import { sessionQuery } from '../session/queries';
import { Loading } from '../shell/Loading';
import { text, textOf } from '../text/text';
import { Door } from './Door';
import { NOBODY, PersonFields } from './PersonFields';
import { invitationQuery } from './queries';

/** Coming into a school by a link: with a new account, or as who is signed in already. */
export function JoinPage() {
  const [key] = useState(() => window.location.hash.slice(1));
  const [person, setPerson] = useState<Schemas['NewPerson']>(NOBODY);
  const session = useQuery(sessionQuery);
  const link = useQuery(invitationQuery(key));
  const inside = () => {
    forgetToken();
    window.location.assign('/');
  };
  const join = useMutation({
    mutationFn: () => answered(client.POST('/api/joining', { body: { key, person } })),
    onSuccess: inside,
  });
  const joinAsMyself = useMutation({
    mutationFn: () => answered(client.POST('/api/joining/mine', { body: { key } })),
    onSuccess: inside,
  });
  if (!key) return <Door title={text('app.name')} intro={text('join.noKey')} />;
  if (link.error) return <Door title={text('app.name')} problem={link.error} />;
  if (!link.data || session.isPending) return <Loading />;
  const { school, role, groups } = link.data;
  const intro = (
    <>
      {text('join.as', { role: textOf('role', role), what: textOf('role.what', role) })}{' '}
      {groups.length > 0 && text('join.withGroups', { groups: groups.join(', ') })}
    </>
  );
  const title = text('join.title', { school });
  if (session.data)
    return (
      <Door
        title={title}
        intro={intro}
        problem={joinAsMyself.error}
        action={{
          label: text('join.mine', { name: session.data.name }),
          run: () => joinAsMyself.mutate(),
          disabled: joinAsMyself.isPending || joinAsMyself.isSuccess,
        }}
      />
    );
  return (
    <Door
      title={title}
      intro={intro}
      problem={join.error}
      action={{ label: text('join.submit'), run: () => join.mutate(), disabled: join.isPending || join.isSuccess }}
    >
      <PersonFields person={person} onChange={setPerson} />
      <p className="quiet small m-0">
        <Button variant="link" size="sm" className="p-0 align-baseline" onClick={() => goSignIn()}>
          {text('join.have')}
        </Button>{' '}
        {text('join.haveWhy')}
      </p>
    </Door>
  );
}
