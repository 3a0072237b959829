import { useEffect } from 'react';

/**
 * Moves the focus to the heading of what has just come onto the screen, where the eye goes: whoever listens or uses keys
 * would else be left at the top of the page, as the button that was pressed has gone. Nothing that has the focus loses it.
 * @param screen another one for every screen and question
 */
export function useEyes(screen: string): void {
  useEffect(() => {
    const isLost = document.activeElement === null || document.activeElement === document.body;
    if (!isLost || !hasBeenUsed()) return;
    const heading =
      document.querySelector<HTMLElement>('main form h2, main .student-question h2') ??
      document.querySelector<HTMLElement>('main h1');
    if (!heading) return;
    heading.tabIndex = -1;
    heading.focus({ preventScroll: true });
  }, [screen]);
}

/** Whether anybody has pressed anything on the page; true where the browser does not tell. */
function hasBeenUsed(): boolean {
  return 'userActivation' in navigator ? navigator.userActivation.hasBeenActive : true;
}
