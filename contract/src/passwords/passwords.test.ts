import { describe, expect, test } from '@jest/globals';
import { isStrongPassword, passwordStrength } from './index.ts';

describe('a new password', () => {
  test.each([
    ['password1234', false],
    ['qwertyuiop12', false],
    ['iloveyou1234', false],
    ['aaaaaaaaaaaa', false],
    ['brightsprout', false],
    ['x'.repeat(200), false],
    ['Tr0ub4dor&3', false],
    ['a long enough password', true],
    ['correct horse battery', true],
    ['4BoXJ900LsEZjlfU', true],
  ])('%s: %p', (password, isTaken) => {
    expect(isStrongPassword(password)).toBe(isTaken);
  });

  test('is weaker where it is made of the person’s own name', () => {
    const own = passwordStrength('marigoldkeen', ['marigoldkeen']);
    expect(own).toBeLessThan(passwordStrength('marigoldkeen'));
  });
});
