import { BEAT_MS, type ChangeEvent } from '@bright-sprout/contract/live';

/** No word for so long, and the stream counts as dead: three beats and a bit. */
const SILENT_MS = 3.5 * BEAT_MS;
const FIRST_PAUSE_MS = 1000;
const LONGEST_PAUSE_MS = 60_000;

/** What a stream tells its page. */
export interface StreamListeners {
  /** It is open, for the first time or again: what was saved meanwhile was not told. */
  readonly onOpen: () => void;
  readonly onChange: (change: ChangeEvent) => void;
  /** True once nothing was heard for long. */
  readonly onStale: (isStale: boolean) => void;
}

/**
 * Listens to a stream of the server and never gives up: a stream that ends, is refused or falls silent is opened again
 * after a pause that grows, with a share of chance so that thirty tablets do not come back at the same moment.
 * @returns ends it
 */
export function listenTo(address: string, listeners: StreamListeners): () => void {
  let source: EventSource | undefined;
  let tries = 0;
  let again: ReturnType<typeof setTimeout> | undefined;
  let silence: ReturnType<typeof setTimeout> | undefined;
  const heard = (): void => {
    clearTimeout(silence);
    listeners.onStale(false);
    silence = setTimeout(() => {
      listeners.onStale(true);
      reopen();
    }, SILENT_MS);
  };
  const reopen = (): void => {
    source?.close();
    clearTimeout(again);
    const pause = Math.min(LONGEST_PAUSE_MS, FIRST_PAUSE_MS * 2 ** tries);
    tries += 1;
    again = setTimeout(open, pause * (0.5 + Math.random() / 2));
  };
  const open = (): void => {
    const opened = new EventSource(address);
    source = opened;
    opened.addEventListener('open', () => {
      tries = 0;
      heard();
      listeners.onOpen();
    });
    opened.addEventListener('beat', heard);
    opened.addEventListener('change', (event: MessageEvent<string>) => {
      heard();
      listeners.onChange(JSON.parse(event.data) as ChangeEvent);
    });
    opened.addEventListener('error', () => {
      if (opened === source) reopen();
    });
  };
  silence = setTimeout(() => listeners.onStale(true), SILENT_MS);
  open();
  return () => {
    source?.close();
    source = undefined;
    clearTimeout(again);
    clearTimeout(silence);
    listeners.onStale(false);
  };
}
