import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { MemoryRouter, useNavigate } from 'react-router';
import { StageBoundary } from './stage-boundary.tsx';

let isBroken = true;

function Stage() {
  if (isBroken) throw new Error('a fault of the page');
  return <p>The stage</p>;
}

function Page() {
  const go = useNavigate();
  return (
    <>
      <button type="button" onClick={() => void go('/elsewhere')}>
        Elsewhere
      </button>
      <StageBoundary home="/">
        <Stage />
      </StageBoundary>
    </>
  );
}

beforeEach(() => {
  isBroken = true;
  // React itself writes what broke to the console.
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  render(
    <MemoryRouter initialEntries={['/here']}>
      <Page />
    </MemoryRouter>,
  );
});
afterEach(() => {
  jest.restoreAllMocks();
});

test('a part that breaks says so with a way back, and the rest of the page stays', () => {
  expect(screen.getByRole('alert').textContent).toContain('What was saved is safe');
  expect(screen.getByRole('link', { name: 'To the beginning' }).getAttribute('href')).toBe('/');
  expect(screen.getByRole('button', { name: 'Elsewhere' })).toBeTruthy();
});

test('is shown again when asked, or when one goes elsewhere', () => {
  fireEvent.click(screen.getByRole('button', { name: 'Show it again' }));
  expect(screen.getByRole('alert')).toBeTruthy();
  isBroken = false;
  fireEvent.click(screen.getByRole('button', { name: 'Elsewhere' }));
  expect(screen.getByText('The stage')).toBeTruthy();
  expect(screen.queryByRole('alert')).toBeNull();
});
