import { expect, test } from '@jest/globals';
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { ShortcutHelp } from './shortcut-help.tsx';

test('the keys are shown on ?, not while something is typed, and go with Escape', async () => {
  render(
    <>
      <input aria-label="Question" />
      <ShortcutHelp />
    </>,
  );
  fireEvent.keyDown(screen.getByLabelText('Question'), { key: '?' });
  expect(screen.queryByRole('dialog')).toBeNull();
  fireEvent.keyDown(document.body, { key: '?' });
  expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeTruthy();
  fireEvent.keyDown(screen.getByRole('dialog'), { key: 'Escape', code: 'Escape' });
  await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  fireEvent.keyDown(document.body, { key: '?' });
  expect(await screen.findByRole('dialog', { name: 'Keys' })).toBeTruthy();
});
