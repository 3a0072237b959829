import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { defined } from '@bright-sprout/core/shared';
import { afterEach, expect, test } from '@jest/globals';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import { useEffect } from 'react';
import { ExperimentProvider, type OpenExperiment } from '../shared/experiment/index.ts';
import { onePot, type Seen } from './series.ts';
import { type DrawPhoto, useFilm } from './use-film.ts';

/** A picture as a worker hands it over, which may not be drawn once it was closed. */
class Picture {
  isClosed = false;
  close(): void {
    this.isClosed = true;
  }
}

const made: Picture[] = [];
const draw = (() => {
  made.push(new Picture());
  return Promise.resolve(defined(made.at(-1)));
}) as unknown as DrawPhoto;

afterEach(cleanup);

function seriesOf(...ids: string[]): PhotoSummary[] {
  const corners = [0, 0, 1, 0, 1, 1, 0, 1];
  return ids.map((id) => ({ id, hasPicture: true, corners, leftOut: [] }) as unknown as PhotoSummary);
}

/** Draws what a film has, whenever what is seen changes, as every view of pictures does. */
function Drawn({ seen, series, drawn }: { seen: Seen; series: readonly PhotoSummary[]; drawn: boolean[] }) {
  const { pictures, isWhole } = useFilm(seen, series, draw);
  return (
    <>
      {pictures.map(({ photo, picture }) => (
        <OneDrawn key={photo.id} seen={seen} picture={picture as unknown as Picture} drawn={drawn} />
      ))}
      <p>{isWhole ? `${pictures.length} of all` : 'not yet'}</p>
    </>
  );
}

function OneDrawn({ seen, picture, drawn }: { seen: Seen; picture: Picture; drawn: boolean[] }) {
  useEffect(() => {
    drawn.push(picture.isClosed);
  }, [seen, picture, drawn]);
  return null;
}

test('when the photos change, nothing of the former ones is drawn after it was closed', async () => {
  const drawn: boolean[] = [];
  const show = (...ids: string[]) => (
    <ExperimentProvider value={{ experiment: { id: 'e' } } as OpenExperiment}>
      <Drawn seen={onePot('u')} series={seriesOf(...ids)} drawn={drawn} />
    </ExperimentProvider>
  );
  const first = show('02', '03');
  const view = render(first);
  await waitFor(() => expect(screen.queryByText('2 of all')).not.toBeNull());
  view.rerender(show('02', '03', '04'));
  expect(screen.queryByText('not yet')).not.toBeNull();
  expect(made.slice(0, 2).map(({ isClosed }) => isClosed)).toEqual([true, true]);
  await waitFor(() => expect(screen.queryByText('3 of all')).not.toBeNull());
  expect(drawn.length).toBeGreaterThanOrEqual(5);
  expect(drawn).not.toContain(true);
  view.unmount();
  expect(made.every(({ isClosed }) => isClosed)).toBe(true);
});
