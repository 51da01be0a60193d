import { expect, test } from 'vitest';
import { addressFrom } from './signIn';

test.each([
  ['?from=%2Fs%2Fa%2Fweek', '/s/a/week'],
  ['', '/'],
  ['?from=https%3A%2F%2Felsewhere.example', '/'],
  ['?from=%2F%2Felsewhere.example', '/'],
  ['?from=%2F%5Celsewhere.example', '/'],
])('after signing in %s leads to %s', (search, address) => expect(addressFrom(search)).toBe(address));
