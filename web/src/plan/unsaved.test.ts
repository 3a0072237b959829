import type { PlanRequest } from '@bright-sprout/contract/plan';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { forgetUnsaved, keepUnsaved, unsavedOf } from './unsaved.ts';

const values = { version: 3, question: 'Half typed', replicates: NaN } as PlanRequest;

beforeEach(() => localStorage.clear());

describe('what is not saved yet', () => {
  test('comes back for the same version of the same plan', () => {
    keepUnsaved('a', values);
    expect(unsavedOf('a', 3)).toEqual({ ...values, replicates: null });
    expect(unsavedOf('b', 3)).toBeUndefined();
  });

  test('is left alone once the plan changed elsewhere, or was saved', () => {
    keepUnsaved('a', values);
    expect(unsavedOf('a', 4)).toBeUndefined();
    forgetUnsaved('a');
    expect(unsavedOf('a', 3)).toBeUndefined();
  });

  test('is nothing when the store holds something else', () => {
    localStorage.setItem('bright-sprout.unsaved-plan.a', '{');
    expect(unsavedOf('a', 3)).toBeUndefined();
  });
});
