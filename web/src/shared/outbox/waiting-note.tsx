import { say } from '@bright-sprout/words/interface';
import { CloudOff } from 'lucide-react';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import Button from 'react-bootstrap/Button';
import { useIsStale } from '../live/index.ts';
import type { OutboxItem } from '../offline/index.ts';
import { outbox, useIsUnsafe, useOutboxItems } from './use-outbox.ts';

/** How much waits on this device, always in sight while anything does; a tap shows what. */
export function WaitingNote() {
  const items = useOutboxItems();
  const isOnline = useSyncExternalStore(subscribeToNetwork, () => navigator.onLine);
  const isUnsafe = useIsUnsafe();
  useAskBeforeClosing(isUnsafe);
  const list = useRef<HTMLDialogElement>(null);
  const refused = items.filter((item) => item.problem !== null).length;
  const isStale = useIsStale();
  if (items.length === 0 && isOnline && !isStale) return null;
  return (
    <>
      <button type="button" className="waiting-note" onClick={() => list.current?.showModal()}>
        <CloudOff size={18} aria-hidden="true" />
        <span role="status">
          {waitingWords(items.length, isOnline)}
          {refused > 0 && say('refused', { refused })}
          {isUnsafe && say('leaveThisPageOpen')}
        </span>
      </button>
      <dialog ref={list} className="ask waiting-list" aria-label={say('waitingOnThisDevice')}>
        <h2>{say('waitingOnThisDevice')}</h2>
        <p>{items.length === 0 ? say('nothingWaitsYouCanGoOnWithout') : say('keptHereAlsoOverAReloadAnd')}</p>
        {isStale && <p>{say('whatOthersSaveMayNotShowHere')}</p>}
        {isUnsafe && (
          <p className="note-attention" role="alert">
            {say('thisDeviceHasNoRoomForThem')}
          </p>
        )}
        <ul>
          {items.map((item) => (
            <WaitingItem key={item.id} item={item} />
          ))}
        </ul>
        <div className="button-row">
          <Button disabled={items.length === 0} onClick={() => void outbox.flush()}>
            {say('sendNow')}
          </Button>
          <Button variant="light" onClick={() => list.current?.close()}>
            {say('close')}
          </Button>
        </div>
      </dialog>
    </>
  );
}

function WaitingItem({ item }: { item: OutboxItem }) {
  return (
    <li>
      <b>{item.label}</b>
      <PictureProgress id={item.id} />
      {item.problem !== null && (
        <>
          <p className="field-problem">{item.problem}</p>
          <Button size="sm" variant="light" onClick={() => void outbox.retry(item)}>
            {say('tryAgain')}
          </Button>{' '}
          <Button size="sm" variant="light" onClick={() => void outbox.discard(item.id)}>
            {say('giveItUp')}
          </Button>
        </>
      )}
    </li>
  );
}

function waitingWords(count: number, isOnline: boolean): string {
  if (count > 0) return say('waitingOnThisDevice2', { count });
  return isOnline ? say('noNewsForAMinute') : say('noNetwork');
}

/** How far a picture is on its way. */
function PictureProgress({ id }: { id: string }) {
  const share = useSyncExternalStore(outbox.subscribe, () => outbox.progressOf(id));
  if (share === undefined) return null;
  return (
    <>
      {' '}
      <progress max={1} value={share} aria-label={say('sentOfThePicture')} /> {Math.round(100 * share)}%
    </>
  );
}

/** The browser asks before a page is closed that holds what would be lost with it. */
function useAskBeforeClosing(isUnsafe: boolean): void {
  useEffect(() => {
    if (!isUnsafe) return;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    globalThis.addEventListener('beforeunload', ask);
    return () => globalThis.removeEventListener('beforeunload', ask);
  }, [isUnsafe]);
}

function subscribeToNetwork(listener: () => void): () => void {
  globalThis.addEventListener('online', listener);
  globalThis.addEventListener('offline', listener);
  return () => {
    globalThis.removeEventListener('online', listener);
    globalThis.removeEventListener('offline', listener);
  };
}

/** Asks before leaving while something waits; resolves at once when nothing does. */
export function confirmLeaving(count: number): boolean {
  if (count === 0) return true;
  const what = count === 1 ? say('oneThingHas') : say('thingsHave', { count });
  return window.confirm(say('notBeenSentYetTheyStayOn', { what }));
}
