import { say } from '@bright-sprout/words/photos';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { arrowWay, withinPicture } from '../shared/ui/index.ts';

const STEP = 2;
const BIG_STEP = 20;

/** A photo with marks on it, as far as it is drawn. */
export interface MarkedPhoto {
  readonly picture: string;
  readonly alt: string;
  readonly width: number;
  readonly height: number;
}

/**
 * A photo with marks that are moved by finger, mouse or keys.
 * @param marks x and y of each as shares of width and height
 * @param names what each mark is, for who cannot see it
 * @param lines marks that lines join, by their place in the list
 */
export function MarkEditor({
  photo: { picture, alt, width, height },
  marks,
  names,
  lines,
  onChange,
}: {
  photo: MarkedPhoto;
  marks: readonly number[];
  names: readonly string[];
  lines: readonly (readonly number[])[];
  onChange: (marks: number[]) => void;
}) {
  const drawing = useRef<SVGSVGElement>(null);
  const radius = Math.max(width, height) / 60;
  const points = names.map((name, index) => ({
    name,
    x: (marks[2 * index] as number) * width,
    y: (marks[2 * index + 1] as number) * height,
  }));
  const move = (index: number, x: number, y: number): void => {
    const next = [...marks];
    next[2 * index] = withinPicture(x / width);
    next[2 * index + 1] = withinPicture(y / height);
    onChange(next);
  };
  const drag = (index: number) => (event: PointerEvent<SVGGElement>) => {
    const matrix = drawing.current?.getScreenCTM();
    if (!event.currentTarget.hasPointerCapture(event.pointerId) || !matrix) return;
    const point = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    move(index, point.x, point.y);
  };
  const press = (index: number, x: number, y: number) => (event: KeyboardEvent) => {
    const way = arrowWay(event.key);
    if (!way) return;
    event.preventDefault();
    const far = event.shiftKey ? BIG_STEP : STEP;
    move(index, x + way[0] * far, y + way[1] * far);
  };
  const along = (line: readonly number[]): string =>
    line.map((index) => `${points[index]?.x},${points[index]?.y}`).join(' ');
  return (
    <svg ref={drawing} className="mark-editor" viewBox={`0 0 ${width} ${height}`}>
      <image href={picture} width={width} height={height}>
        <title>{alt}</title>
      </image>
      {lines.map((line) => (
        <polyline key={line.join()} points={along(line)} />
      ))}
      {points.map(({ name, x, y }, index) => (
        <g
          key={name}
          role="button"
          tabIndex={0}
          aria-label={say('markAt', { name, x: Math.round(x), y: Math.round(y) })}
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onPointerMove={drag(index)}
          onKeyDown={press(index, x, y)}
        >
          <circle className="mark-reach" cx={x} cy={y} r={radius * 1.8} />
          <circle className="mark-dot" cx={x} cy={y} r={radius} />
          <text x={x} y={y} fontSize={radius * 1.1}>
            {index + 1}
          </text>
        </g>
      ))}
    </svg>
  );
}
