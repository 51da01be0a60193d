import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, client } from '../api/client';
import { goSignIn } from '../session/signIn';
import { text } from '../text/text';
import { Door } from './Door';
import { NewPassword } from './PersonFields';

/** Another password, by the one-time link that a lead made. */
export function ResetPage() {
  const [key] = useState(() => window.location.hash.slice(1));
  const [password, setPassword] = useState('');
  const choose = useMutation({
    mutationFn: () => answered(client.POST('/api/resets', { body: { key, password } })),
  });
  const title = text('reset.title');
  if (!key) return <Door title={title} intro={text('join.noKey')} />;
  if (choose.isSuccess)
    return (
      <Door
        title={title}
        intro={text('reset.done')}
        action={{ label: text('signIn.title'), run: () => goSignIn(), disabled: false }}
      />
    );
  return (
    <Door
      title={title}
      problem={choose.error}
      action={{ label: text('reset.submit'), run: () => choose.mutate(), disabled: choose.isPending }}
    >
      <NewPassword value={password} onChange={setPassword} />
    </Door>
  );
}
