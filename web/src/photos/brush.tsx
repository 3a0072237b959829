import { say } from '@bright-sprout/words/photos';
import type { Stroke } from '@bright-sprout/core/imaging';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { arrowWay, withinPicture } from '../shared/ui/index.ts';

const STEP = 0.01;
const BIG_STEP = 0.05;

/** Units across the drawing. */
const ACROSS = 1000;

/**
 * A brush over a picture, by finger, mouse or keys: arrows move it, the space bar dabs.
 * @param shape width of the picture by its height
 */
export function Brush({
  strokes,
  thickness,
  shape,
  onStroke,
}: {
  strokes: readonly Stroke[];
  thickness: number;
  shape: number;
  onStroke: (stroke: Stroke) => void;
}) {
  const [going, setGoing] = useState<readonly number[]>([]);
  const [at, setAt] = useState({ x: 0.5, y: 0.5 });
  const down = ACROSS / shape;
  const place = (event: PointerEvent): [number, number] => {
    const { left, top, width, height } = event.currentTarget.getBoundingClientRect();
    return [withinPicture((event.clientX - left) / width), withinPicture((event.clientY - top) / height)];
  };
  const end = (): void => {
    if (going.length > 0) onStroke({ thickness, points: going });
    setGoing([]);
  };
  const press = (event: KeyboardEvent): void => {
    const way = arrowWay(event.key);
    if (!way && event.key !== ' ') return;
    event.preventDefault();
    const far = event.shiftKey ? BIG_STEP : STEP;
    if (way) setAt({ x: withinPicture(at.x + way[0] * far), y: withinPicture(at.y + way[1] * far * shape) });
    else onStroke({ thickness, points: [at.x, at.y] });
  };
  const shown = going.length > 0 ? [...strokes, { thickness, points: going }] : strokes;
  return (
    <svg
      className="brush"
      viewBox={`0 0 ${ACROSS} ${down}`}
      role="application"
      aria-label={say('brushAt', { x: Math.round(100 * at.x), y: Math.round(100 * at.y) })}
      tabIndex={0}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setGoing(place(event));
      }}
      onPointerMove={(event) => going.length > 0 && setGoing(withPoint(going, place(event)))}
      onPointerUp={end}
      onPointerCancel={() => setGoing([])}
      onKeyDown={press}
    >
      {shown.map((stroke, index) => (
        <polyline
          key={index}
          strokeWidth={stroke.thickness * ACROSS}
          points={drawnPoints(stroke.points, down)}
        />
      ))}
      <circle cx={at.x * ACROSS} cy={at.y * down} r={(thickness * ACROSS) / 2} />
    </svg>
  );
}

/** Nearer than this to the last point, another one adds nothing. */
const LEAST_APART = 0.004;
const MOST_POINTS = 600;

function withPoint(points: readonly number[], [x, y]: readonly [number, number]): readonly number[] {
  const [lastX = 0, lastY = 0] = points.slice(-2);
  if (Math.hypot(x - lastX, y - lastY) < LEAST_APART || points.length >= 2 * MOST_POINTS) return points;
  return [...points, x, y];
}

/** A dab is drawn as a line of no length, which its round ends make a disc. */
function drawnPoints(points: readonly number[], down: number): string {
  const pairs = Array.from(
    { length: points.length / 2 },
    (_, index) => `${(points[2 * index] as number) * ACROSS},${(points[2 * index + 1] as number) * down}`,
  );
  return (pairs.length === 1 ? [...pairs, ...pairs] : pairs).join(' ');
}
