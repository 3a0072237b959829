import { CloudOff } from 'lucide-react';
import { useRef, useSyncExternalStore } from 'react';
import Button from 'react-bootstrap/Button';
import type { OutboxItem } from '../offline/index.ts';
import { outbox, useOutboxItems } from './use-outbox.ts';

/** How much waits on this device, always in sight while anything does; a tap shows what. */
export function WaitingNote() {
  const items = useOutboxItems();
  const isOnline = useSyncExternalStore(subscribeToNetwork, () => navigator.onLine);
  const list = useRef<HTMLDialogElement>(null);
  const refused = items.filter((item) => item.problem !== null).length;
  if (items.length === 0 && isOnline) return null;
  return (
    <>
      <button type="button" className="waiting-note" onClick={() => list.current?.showModal()}>
        <CloudOff size={18} aria-hidden="true" />
        <span role="status">
          {items.length === 0 ? 'No network' : `${items.length} waiting on this device`}
          {refused > 0 && `, ${refused} refused`}
        </span>
      </button>
      <dialog ref={list} className="ask waiting-list" aria-label="Waiting on this device">
        <h2>Waiting on this device</h2>
        <p>
          {items.length === 0
            ? 'Nothing waits. You can go on without network; what you keep is sent when it is back.'
            : 'Kept here, also over a reload, and sent by itself when the network is back.'}
        </p>
        <ul>
          {items.map((item) => (
            <WaitingItem key={item.id} item={item} />
          ))}
        </ul>
        <div className="button-row">
          <Button disabled={items.length === 0} onClick={() => void outbox.flush()}>
            Send now
          </Button>
          <Button variant="light" onClick={() => list.current?.close()}>
            Close
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
      {item.problem !== null && (
        <>
          <p className="field-problem">{item.problem}</p>
          <Button size="sm" variant="light" onClick={() => void outbox.retry(item)}>
            Try again
          </Button>{' '}
          <Button size="sm" variant="light" onClick={() => void outbox.discard(item.id)}>
            Give it up
          </Button>
        </>
      )}
    </li>
  );
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
  const what = count === 1 ? 'One thing has' : `${count} things have`;
  return window.confirm(
    `${what} not been sent yet. They stay on this device and are sent when you are back here. Leave all the same?`,
  );
}
