import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { useSchool } from '../session/session';
import { teachablesQuery } from './queries';
import { chunkText, labelText, soundText, text } from '../text/text';

/** Finds a correspondence by its letters or sound, or a pattern by its name, and adds it. */
export function TeachingPicker({ not, onPick }: { not: readonly string[]; onPick: (what: string) => void }) {
  const { school } = useSchool();
  const [typed, setTyped] = useState('');
  const all = useQuery(teachablesQuery(school.id));
  const options = [
    ...(all.data?.correspondences.map((c) => ({
      id: c.notation,
      label: text('edit.option', { letters: c.grapheme, sound: soundText(c.sounds), word: c.keyWord }),
      starts: c.grapheme,
    })) ?? []),
    ...(all.data?.patterns.map((p) => ({ id: p, label: labelText(p), starts: labelText(p) })) ?? []),
    ...(all.data?.chunks.map((c) => ({
      id: c,
      label: text('edit.chunk', { letters: chunkText(c) }),
      starts: chunkText(c),
    })) ?? []),
  ].filter((o) => !not.includes(o.id));
  const asked = typed.trim().toLowerCase();
  const matching =
    asked === ''
      ? []
      : options
          .filter((o) => o.label.toLowerCase().includes(asked))
          .sort(
            (a, b) =>
              Number(b.starts === asked) - Number(a.starts === asked) ||
              Number(b.starts.startsWith(asked)) - Number(a.starts.startsWith(asked)),
          )
          .slice(0, 8);
  return (
    <div>
      <Form.Control
        size="sm"
        type="search"
        aria-label={text('edit.findTeaching')}
        placeholder={text('edit.findTeaching')}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
      />
      {matching.length > 0 && (
        <ul className="list-unstyled bg-white p-1 m-0 border rounded">
          {matching.map((o) => (
            <li key={o.id}>
              <Button
                size="sm"
                variant="link"
                onClick={() => {
                  setTyped('');
                  onPick(o.id);
                }}
              >
                {o.label}
              </Button>
            </li>
          ))}
        </ul>
      )}
      {asked !== '' && matching.length === 0 && (
        <p className="quiet small">{text('edit.noneFound', { text: typed.trim() })}</p>
      )}
    </div>
  );
}
