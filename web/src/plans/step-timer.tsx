import { say } from '@bright-sprout/words/plans';
import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';
import Button from 'react-bootstrap/Button';
import './plans.scss';

/** A countdown for a timed step; it says when time is up. */
export function StepTimer({ minutes }: { minutes: number }) {
  const [endsAt, setEndsAt] = useState<number>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (endsAt === undefined) return;
    const ticking = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(ticking);
  }, [endsAt]);
  if (endsAt === undefined) {
    return (
      <Button
        variant="light"
        size="sm"
        onClick={() => {
          setNow(Date.now());
          setEndsAt(Date.now() + minutes * 60_000);
        }}
      >
        <Timer size={15} aria-hidden="true" /> {say('start')}
      </Button>
    );
  }
  const left = Math.max(0, Math.ceil((endsAt - now) / 1000));
  return (
    <Button
      variant="light"
      size="sm"
      className={left === 0 ? 'timer is-up' : 'timer'}
      aria-label={left === 0 ? say('timeIsUpStopTheTimer') : say('stopTheTimer')}
      onClick={() => setEndsAt(undefined)}
    >
      <span role="timer" aria-live={left === 0 ? 'assertive' : 'off'}>
        {left === 0 ? say('timeIsUp') : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`}
      </span>
    </Button>
  );
}
