import { IntlMessageFormat } from 'intl-messageformat';
import { afterEach, describe, expect, it } from 'vitest';
import { messages } from './en-GB';
import { american } from './en-US';
import { dayText, labelText, reasonText, setLanguage, shareText, text, warningText } from './text';

afterEach(() => setLanguage('en-GB'));

describe('the catalogue', () => {
  it('has only messages that can be read', () => {
    const all = [...Object.values(messages), ...Object.values(american)];
    expect(all.length).toBeGreaterThan(900);
    // What can't be read fails when it is loaded; what has values was read.
    for (const message of all)
      if (typeof message === 'string') expect(message).not.toMatch(/[{}]/);
      else expect(() => new IntlMessageFormat(message, 'en-GB')).not.toThrow();
  });

  it('speaks American where a school does', () => {
    expect(text('part.practise')).toBe('Practise');
    setLanguage('en-US');
    expect(text('part.practise')).toBe('Practice');
    expect(text('part.apply')).toBe('Apply');
  });

  it('puts reasons into words', () => {
    expect(reasonText({ code: 'last-seen', arguments: ['1'] })).toBe('last seen one lesson ago');
    expect(reasonText({ code: 'last-seen', arguments: ['12'] })).toBe('last seen 12 lessons ago');
    expect(reasonText({ code: 'uses-pattern', arguments: ['suffix-s'] })).toBe('has suffix -s');
    expect(reasonText({ code: 'never-heard-of', arguments: [] })).toBe('never-heard-of');
  });

  it('puts warnings into words that say what to do', () => {
    expect(warningText({ code: 'look-alike', arguments: ['b', '1', '10'] })).toBe(
      'Looks like b, one rung before; keep 10 between them.',
    );
    expect(warningText({ code: 'thin', arguments: ['0'] })).toContain('only none can be used here');
    expect(warningText({ code: 'suffix-before-base', arguments: ['suffix-s'] })).toContain('suffix -s');
    const codes = Object.keys(messages).filter((k) => k.startsWith('warning.'));
    expect(codes).toHaveLength(20);
  });

  it('names days and patterns', () => {
    expect(dayText('2026-11-24')).toBe('Tuesday 24 November');
    expect(labelText('suffix-s')).toBe('suffix -s');
    expect(labelText('igh')).toBe('igh');
    expect(shareText(0.624)).toBe('62%');
  });
});
