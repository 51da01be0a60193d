import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { text } from '../text/text';
import { Chip } from '../shell/Chip';
import type { HouseStyle } from './useSaveStyle';

/** The chunks a school teaches as one piece, each over its true correspondences. */
export function ChunkList({
  chunks,
  onChange,
}: {
  chunks: HouseStyle['chunks'];
  onChange: (chunks: HouseStyle['chunks']) => void;
}) {
  const [typed, setTyped] = useState('');
  const parts = typed.trim().split(/\s+/);
  const usable = parts.length > 1 && parts.every((p) => /^[a-z-]+=\S+$/.test(p));
  return (
    <>
      <h3>{text('style.chunks')}</h3>
      <p className="quiet small">{text('style.chunksHelp')}</p>
      <ul className="list-unstyled d-flex flex-wrap gap-2 my-2 mx-0">
        {chunks.map((c) => (
          <Chip
            key={c.correspondences.join()}
            off={text('edit.takeOff', { label: c.text })}
            onOff={() => onChange(chunks.filter((other) => other !== c))}
          >
            <span className="literacy">{c.text}</span>
          </Chip>
        ))}
      </ul>
      <div className="form-line d-flex flex-wrap gap-2 align-items-center mb-2">
        <Form.Control
          aria-label={text('style.chunk')}
          placeholder={text('style.chunk')}
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
        />
        <Button
          size="sm"
          variant="outline-secondary"
          disabled={!usable}
          onClick={() => {
            onChange([...chunks, { text: parts.map((p) => p.split('=')[0]).join(''), correspondences: parts }]);
            setTyped('');
          }}
        >
          {text('style.addChunk')}
        </Button>
      </div>
    </>
  );
}
