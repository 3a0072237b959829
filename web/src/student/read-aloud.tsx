import { say } from '@bright-sprout/words/student';
import { Volume2 } from 'lucide-react';
import { type RefObject, useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';

/** What is read of a page, in its order: questions, hints and answers. */
const SPOKEN = 'h1, h2, h3, p, li, .big-answers button';

/** Reads a page aloud by the browser's own voices; nothing where it has none. */
export function ReadAloud({ of }: { of: RefObject<HTMLElement | null> }) {
  const hasVoices = useHasVoices();
  useEffect(() => () => speech()?.cancel(), []);
  if (!hasVoices) return null;
  const read = (): void => {
    const parts = [...(of.current?.querySelectorAll(SPOKEN) ?? [])].map((part) => part.textContent.trim());
    speech()?.cancel();
    speech()?.speak(new SpeechSynthesisUtterance(parts.filter((part) => part !== '').join('. ')));
  };
  return (
    <Button variant="light" onClick={read}>
      <Volume2 size={20} aria-hidden="true" /> {say('readAloud')}
    </Button>
  );
}

function speech(): SpeechSynthesis | undefined {
  return 'speechSynthesis' in window ? window.speechSynthesis : undefined;
}

/** Browsers know their voices a moment after the page is there. */
function useHasVoices(): boolean {
  const [has, setHas] = useState(() => (speech()?.getVoices().length ?? 0) > 0);
  useEffect(() => {
    const voices = speech();
    if (!voices) return undefined;
    const look = (): void => setHas(voices.getVoices().length > 0);
    voices.addEventListener('voiceschanged', look);
    return () => voices.removeEventListener('voiceschanged', look);
  }, []);
  return has;
}
