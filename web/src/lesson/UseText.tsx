import { useQuery } from '@tanstack/react-query';
import { Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { useSchool } from '../session/session';
import { text } from '../text/text';
import { ownTextsQuery } from '../texts/queries';

interface Props {
  busy: boolean;
  onUse: (textId: string) => void;
}

/** One of the school's own texts, in the place of the one that is read. */
export function UseText({ busy, onUse }: Props) {
  const { school } = useSchool();
  const texts = useQuery(ownTextsQuery(school.id)).data?.filter((t) => t.kind === 'story' && !t.isRetired);
  if (!texts) return null;
  if (texts.length === 0)
    return (
      <Link className="small" to="/texts">
        {text('lesson.useTextNone')}
      </Link>
    );
  return (
    <Form.Select
      size="sm"
      className="w-auto"
      value=""
      disabled={busy}
      aria-label={text('lesson.useText')}
      onChange={(e) => onUse(e.target.value)}
    >
      <option value="">{text('lesson.useText')} …</option>
      {texts.map((t) => (
        <option key={t.id} value={t.id}>
          {t.title}
        </option>
      ))}
    </Form.Select>
  );
}
