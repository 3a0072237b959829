import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { ContainerView } from '@bright-sprout/contract/plans';
import type { PlaceGrid } from '@bright-sprout/core/imaging';
import { type CSSProperties, useEffect, useRef, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { imaging, pictureOf } from './imaging.ts';
import type { Frame } from './imaging.worker.ts';

/** A container straightened by its corners; with a threshold, what does not count as plant is grey. */
export function Straightened({
  photo,
  frame: { corners, greyPatch },
  container: { rows, columns },
  threshold,
}: {
  photo: PhotoSummary;
  frame: Frame;
  container: ContainerView;
  threshold: number | null;
}) {
  const { experiment } = useExperiment();
  const canvas = useRef<HTMLCanvasElement>(null);
  const [error, setError] = useState<unknown>();
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const draw = async (): Promise<void> => {
      const blob = await pictureOf(experiment.id, photo.id);
      if (isLeft()) return;
      const drawn = await imaging().draw(blob, { corners, greyPatch }, { rows, columns }, threshold);
      if (!drawn.defined) return;
      if (!isLeft() && canvas.current) paint(canvas.current, drawn.value);
      drawn.value.close();
    };
    draw().catch((thrown: unknown) => {
      if (!isLeft()) setError(thrown);
    });
    return () => left.abort();
  }, [experiment.id, photo.id, corners, greyPatch, rows, columns, threshold]);
  if (error) return <FailureNote error={error} />;
  return (
    <div className="straightened" style={wholeInWindow({ rows, columns })}>
      <canvas ref={canvas} role="img" aria-label={say('flatAlt')} />
      <PlaceNumbers
        container={{ rows, columns }}
        places={experiment.units.filter((unit) => unit.containerId === photo.containerId)}
      />
    </div>
  );
}

/** Draws a picture over a whole canvas. */
export function paint(canvas: HTMLCanvasElement, picture: ImageBitmap): void {
  canvas.width = picture.width;
  canvas.height = picture.height;
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
}

function PlaceNumbers({
  container: { rows, columns },
  places,
}: {
  container: { rows: number; columns: number };
  places: readonly { id: string; number: number; row: number; column: number }[];
}) {
  return places.map(({ id, number, row, column }) => (
    <span
      key={id}
      aria-hidden
      style={{ left: `${(100 * (column - 1)) / columns}%`, top: `${(100 * (row - 1)) / rows}%` }}
    >
      {number}
    </span>
  ));
}

/** As wide as its place, and no higher than lets the whole of it be seen in the window. */
export function wholeInWindow({ rows, columns }: PlaceGrid): CSSProperties {
  const shape = columns / rows;
  return { aspectRatio: shape, width: `min(100%, max(18rem, (100vh - 24.5rem) * ${shape}))` };
}
