import { say } from '@bright-sprout/words/student';
import type { KeyboardEvent } from 'react';
import { type Label, placeLabels, wordX } from '../shared/pictures/index.ts';
import { arrowWay, withinPicture } from '../shared/ui/index.ts';

const STEP = 0.02;

/** Words at the margins of a drawing, each with an arrow to its part; the arrow keys move the tip, Delete takes it away. */
export function SheetLabels({
  labels,
  onChange,
}: {
  labels: readonly Label[];
  onChange: (labels: readonly Label[]) => void;
}) {
  const press = (label: Label) => (event: KeyboardEvent) => {
    const way = arrowWay(event.key);
    if (!way && event.key !== 'Delete' && event.key !== 'Backspace') return;
    event.preventDefault();
    const moved = way && {
      ...label,
      x: withinPicture(label.x + way[0] * STEP),
      y: withinPicture(label.y + way[1] * STEP),
    };
    onChange(labels.flatMap((one) => (one === label ? (moved ?? []) : [one])));
  };
  const placed = placeLabels(labels);
  return (
    <>
      <svg className="sheet-arrows" viewBox="0 0 100 100" preserveAspectRatio="none" aria-hidden="true">
        {placed.map((label, index) => (
          <line
            key={index}
            x1={100 * wordX(label)}
            y1={100 * label.wordY}
            x2={100 * label.x}
            y2={100 * label.y}
          />
        ))}
      </svg>
      {placed.map((label, index) => (
        <button
          key={index}
          type="button"
          className="sheet-label"
          style={{ left: `${100 * wordX(label)}%`, top: `${100 * label.wordY}%` }}
          aria-label={say('labelPointsAt', {
            word: label.word,
            x: Math.round(100 * label.x),
            y: Math.round(100 * label.y),
          })}
          onKeyDown={press(labels[index] as Label)}
        >
          {label.word}
        </button>
      ))}
      {placed.map((label, index) => (
        <i
          key={index}
          className="sheet-tip"
          style={{ left: `${100 * label.x}%`, top: `${100 * label.y}%` }}
          aria-hidden="true"
        />
      ))}
    </>
  );
}
