import type { Schemas } from '../api/client';
import { text } from '../text/text';
import { Field } from './Field';

const SHORTEST = 12;
const LONGEST = 128;

export const NOBODY: Schemas['NewPerson'] = { name: '', email: '', password: '' };

/** Name, address and password of who makes an account. */
export function PersonFields({
  person,
  onChange,
}: {
  person: Schemas['NewPerson'];
  onChange: (person: Schemas['NewPerson']) => void;
}) {
  return (
    <>
      <Field
        id="person-name"
        label={text('person.name')}
        autoComplete="name"
        maxLength={80}
        value={person.name}
        onChange={(name) => onChange({ ...person, name })}
      />
      <Field
        id="person-email"
        label={text('person.email')}
        type="email"
        autoComplete="username"
        maxLength={254}
        value={person.email}
        onChange={(email) => onChange({ ...person, email })}
      />
      <NewPassword value={person.password} onChange={(password) => onChange({ ...person, password })} />
    </>
  );
}

export function NewPassword({
  value,
  onChange,
  label = text('person.password'),
}: {
  value: string;
  onChange: (value: string) => void;
  label?: string;
}) {
  return (
    <Field
      id="new-password"
      label={label}
      type="password"
      autoComplete="new-password"
      minLength={SHORTEST}
      maxLength={LONGEST}
      help={text('person.passwordHelp')}
      value={value}
      onChange={onChange}
    />
  );
}
