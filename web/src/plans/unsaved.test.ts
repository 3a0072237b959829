import type { Plan } from '@bright-sprout/core/design';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { forgetUnsaved, keepUnsaved, unsavedOf } from './unsaved.ts';

const base = { version: 3, plan: { question: 'Why?' } as Plan };
const plan = { question: 'Half typed', replicates: NaN } as Plan;

beforeEach(() => localStorage.clear());

describe('what is not saved yet', () => {
  test('comes back with the plan that it was typed into', () => {
    keepUnsaved('a', { base, plan });
    expect(unsavedOf('a')).toEqual({ base, plan: { ...plan, replicates: null } });
    expect(unsavedOf('b')).toBeUndefined();
  });

  test('is gone once it was saved', () => {
    keepUnsaved('a', { base, plan });
    forgetUnsaved('a');
    expect(unsavedOf('a')).toBeUndefined();
  });

  test.each(['{', '{"question":"of an older page"}', '5'])('is nothing when the store holds %s', (text) => {
    localStorage.setItem('bright-sprout.unsaved-plan.a', text);
    expect(unsavedOf('a')).toBeUndefined();
  });
});
