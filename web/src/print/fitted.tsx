import { type ReactNode, useLayoutEffect, useRef } from 'react';

/** Font sizes in points, the largest that fits is taken. */
const LARGEST_PT = 10;
const SMALLEST_PT = 5;
const STEP_PT = 0.5;

/** Text as large as its label holds: measured, so that no name runs over the line where it is cut. */
export function Fitted({ children }: { children: ReactNode }) {
  const text = useRef<HTMLSpanElement>(null);
  useLayoutEffect(() => {
    const element = text.current;
    const label = element?.parentElement;
    if (!element || !label) return;
    const room = (): number => label.clientHeight - paddingOf(label);
    for (let size = LARGEST_PT; size >= SMALLEST_PT; size -= STEP_PT) {
      element.style.fontSize = `${size}pt`;
      if (element.scrollHeight <= room() && element.scrollWidth <= element.clientWidth) return;
    }
  });
  return (
    <span ref={text} className="fitted">
      {children}
    </span>
  );
}

function paddingOf(element: HTMLElement): number {
  const { paddingTop, paddingBottom } = getComputedStyle(element);
  return (Number.parseFloat(paddingTop) || 0) + (Number.parseFloat(paddingBottom) || 0);
}
