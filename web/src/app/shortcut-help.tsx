import { lazy, Suspense, useEffect, useState } from 'react';

const ShortcutList = lazy(() => import('./shortcut-list.tsx'));

/** The keys, shown on `?` when nothing is being typed; they are fetched when they are asked for. */
export function ShortcutHelp() {
  const [isOpen, setIsOpen] = useState(false);
  const [wasAsked, setWasAsked] = useState(false);
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const isTyping = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key !== '?' || isTyping) return;
      setWasAsked(true);
      setIsOpen(true);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  if (!wasAsked) return null;
  return (
    <Suspense fallback={null}>
      <ShortcutList isOpen={isOpen} onClose={() => setIsOpen(false)} />
    </Suspense>
  );
}
