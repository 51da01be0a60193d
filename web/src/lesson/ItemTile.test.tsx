import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { shippedFacts } from '../facts/shipped';
import { ItemTile } from './ItemTile';
import type { ActivityKind, Command, Item } from './kinds';
import { tileOf } from './why';

afterEach(cleanup);

const card: Item = {
  $type: 'card',
  id: 'revisit-cards:sh',
  kept: false,
  correspondence: 'sh=ʃ',
  grapheme: 'sh',
  sounds: 'ʃ',
  keyWord: 'shell',
  canBeHeld: true,
  kind: 'digraph',
  letterNames: ['s', 'h'],
  positions: null,
  reasons: [{ code: 'last-seen', arguments: ['9'] }],
};
const clue: Item = {
  $type: 'clue',
  id: 'revisit-clues:bat',
  kept: true,
  word: 'bat',
  clue: 'it hangs upside down',
  reasons: [{ code: 'only-said', arguments: [] }],
};

function shown(item: Item, kind: ActivityKind, editable = true) {
  const onCommand = vi.fn<(command: Command) => void>();
  render(
    <ItemTile
      item={tileOf(item, kind, shippedFacts)!}
      kind={kind}
      broken={false}
      editable={editable}
      busy={false}
      onCommand={onCommand}
    />,
  );
  return { onCommand, tile: screen.getAllByRole('button')[0]! };
}

describe('a tile', () => {
  it('says on W why a card is there, and changes or keeps it by A and K', () => {
    const { onCommand, tile } = shown(card, 'grapheme-cards');
    fireEvent.keyDown(tile, { key: 'w' });
    expect(screen.getByText('/ʃ/ · last seen 9 lessons ago')).toBeTruthy();
    fireEvent.keyDown(tile, { key: 'a' });
    fireEvent.keyDown(tile, { key: 'k' });
    expect(onCommand.mock.calls.map(([c]) => c)).toEqual([
      { type: 'replace-one', itemId: card.id },
      { type: 'keep', itemId: card.id, kept: true },
    ]);
    // A card is no word: it can't be kept out for good.
    expect(screen.queryByRole('button', { name: /Never again/ })).toBeNull();
  });

  it('lets the word of a riddle be kept out, and shows that it is kept', () => {
    const { tile } = shown(clue, 'clues');
    fireEvent.click(tile);
    expect(screen.getByRole('button', { name: /Never again/ })).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Keep/ }).getAttribute('aria-pressed')).toBe('true');
  });

  it('only says why where nothing can be chosen', () => {
    const { onCommand, tile } = shown(card, 'last-miss', false);
    fireEvent.keyDown(tile, { key: 'a' });
    fireEvent.click(tile);
    expect(onCommand).not.toHaveBeenCalled();
    expect(screen.queryByRole('button', { name: /Another/ })).toBeNull();
  });

  it('is not what the adult tells, nor a word of a chain', () => {
    expect(tileOf(card, 'new-correspondence', shippedFacts)).toBeNull();
    expect(
      tileOf({ $type: 'prompt', id: 'p', kept: false, code: 'own-sentence', words: [] }, 'own-sentence', shippedFacts),
    ).toBeNull();
    expect(tileOf(card, 'spot-grapheme', shippedFacts)).not.toBeNull();
  });
});
