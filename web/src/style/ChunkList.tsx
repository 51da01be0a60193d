import { useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { text } from '../text/text';
import type { HouseStyle } from './useStyle';

/** The chunks a school teaches as one piece, each over its true correspondences. */
export function ChunkList({ chunks, onChange }: { chunks: HouseStyle['chunks']; onChange: (chunks: HouseStyle['chunks']) => void }) {
  const [typed, setTyped] = useState('');
  const parts = typed.trim().split(/\s+/);
  const usable = parts.length > 1 && parts.every((p) => /^[a-z-]+=\S+$/.test(p));
  return (
    <>
      <h3>{text('style.chunks')}</h3>
      <p className="quiet small">{text('style.chunksHelp')}</p>
      <ul className="chips">
        {chunks.map((c) => (
          <li key={c.correspondences.join()}>
            <span className="literacy">{c.text}</span>
            <button type="button" className="chip-gone" aria-label={text('edit.takeOff', { label: c.text })} onClick={() => onChange(chunks.filter((other) => other !== c))}>
              ×
            </button>
          </li>
        ))}
      </ul>
      <div className="form-line">
        <Form.Control aria-label={text('style.chunk')} placeholder={text('style.chunk')} value={typed} onChange={(e) => setTyped(e.target.value)} />
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
