import { IntlMessageFormat } from 'intl-messageformat';
import { afterEach, describe, expect, it } from 'vitest';
import { messages } from './en-GB';
import { american } from './en-US';
import { dayText, labelText, reasonText, setLanguage, text } from './text';

afterEach(() => setLanguage('en-GB'));

describe('the catalogue', () => {
  it('has only messages that can be read', () => {
    for (const message of [...Object.values(messages), ...Object.values(american)]) expect(() => new IntlMessageFormat(message, 'en-GB')).not.toThrow();
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

  it('names days and patterns', () => {
    expect(dayText('2026-11-24')).toBe('Tuesday 24 November');
    expect(labelText('suffix-s')).toBe('suffix -s');
    expect(labelText('igh')).toBe('igh');
  });
});
