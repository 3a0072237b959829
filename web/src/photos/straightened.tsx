import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import { containerShape, type PlaceGrid } from '@bright-sprout/core/imaging';
import { toMillimetres } from '@bright-sprout/core/shared';
import { type CSSProperties, type ReactNode, useEffect, useRef, useState } from 'react';
import { useExperiment } from '../shared/experiment/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { imaging, pictureOf } from './imaging.ts';
import type { Frame } from './imaging.worker.ts';
import { type PlacedPot, potsIn, rulerOfPhotos, type Seen } from './series.ts';

/** A container straightened by its corners; with a threshold, what does not count as plant is grey. */
export function Straightened({
  photo,
  frame: { corners, greyPatch, leftOut, size },
  seen,
  threshold,
  children,
}: {
  photo: PhotoSummary;
  frame: Frame;
  seen: Seen;
  threshold: number | null;
  /** What lies over the picture, as large as it is. */
  children?: ReactNode;
}) {
  const { experiment } = useExperiment();
  const { rows, columns } = seen;
  const canvas = useRef<HTMLCanvasElement>(null);
  const [error, setError] = useState<unknown>();
  useEffect(() => {
    const left = new AbortController();
    const isLeft = (): boolean => left.signal.aborted;
    const draw = async (): Promise<void> => {
      const blob = await pictureOf(experiment.id, photo.id);
      if (isLeft()) return;
      const drawn = await imaging().draw(
        blob,
        { corners, greyPatch, leftOut, size },
        { rows, columns },
        threshold,
      );
      if (!drawn.defined) return;
      if (!isLeft() && canvas.current) paint(canvas.current, drawn.value);
      drawn.value.close();
    };
    draw().catch((thrown: unknown) => {
      if (!isLeft()) setError(thrown);
    });
    return () => left.abort();
  }, [experiment.id, photo.id, corners, greyPatch, leftOut, size, rows, columns, threshold]);
  if (error) return <FailureNote error={error} />;
  return (
    <div className="straightened" style={wholeInWindow(containerShape({ rows, columns }, size))}>
      <canvas ref={canvas} role="img" aria-label={say('flatAlt')} />
      <PlaceNumbers grid={{ rows, columns }} pots={potsIn(experiment, seen)} />
      {size && <ScaleBar acrossMm={size.acrossMm} />}
      {children}
    </div>
  );
}

/** Draws a picture over a whole canvas. */
export function paint(canvas: HTMLCanvasElement, picture: ImageBitmap): void {
  canvas.width = picture.width;
  canvas.height = picture.height;
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
}

function PlaceNumbers({ grid: { rows, columns }, pots }: { grid: PlaceGrid; pots: readonly PlacedPot[] }) {
  return pots.map(({ unit, row, column }) => (
    <span
      key={unit.id}
      aria-hidden
      style={{ left: `${(100 * (column - 1)) / columns}%`, top: `${(100 * (row - 1)) / rows}%` }}
    >
      {unit.number}
    </span>
  ));
}

/** Lengths of a scale bar in the classes' units, the longest first. */
const BARS = { cm: [50, 20, 10, 5, 2, 1], in: [20, 10, 5, 2, 1] } as const;

/** At most so much of the width is the bar. */
const MOST_OF_WIDTH = 0.4;

/** How long a known length is in the picture. */
function ScaleBar({ acrossMm }: { acrossMm: number }) {
  const { unit } = rulerOfPhotos(useExperiment().experiment);
  const bars = BARS[unit].map((amount) => ({ amount, mm: toMillimetres(amount, unit) }));
  const bar = bars.find(({ mm }) => mm <= MOST_OF_WIDTH * acrossMm) ?? bars.at(-1);
  if (!bar) return null;
  return (
    <span className="scale-bar" style={{ width: `${(100 * bar.mm) / acrossMm}%` }}>
      {`${bar.amount} ${unit}`}
    </span>
  );
}

/** As wide as its place, and no higher than lets the whole of it be seen in the window: width by height. */
export function wholeInWindow(shape: number): CSSProperties {
  return { aspectRatio: shape, width: `min(100%, max(18rem, (100vh - 24.5rem) * ${shape}))` };
}
