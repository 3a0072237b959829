import type { TemporaryApplication } from '@bright-sprout/scripts';

/** What the tablets of a class heard, and what they had to ask for because of it. */
export interface Heard {
  news: number;
  fetches: number;
}

/**
 * Opens the stream of a tablet, which does as the page does: news that carries what was read is enough, other news makes
 * it fetch its pots.
 * @returns closes it
 */
export async function tabletStream(
  application: TemporaryApplication,
  cookie: string,
  heard: Heard,
): Promise<() => void> {
  const closing = new AbortController();
  const get = (path: string): Promise<Response> =>
    fetch(`${application.address}/api${path}`, { headers: { Cookie: cookie }, signal: closing.signal });
  const answer = await get('/device/changes');
  if (!answer.ok || !answer.body) throw new Error(`the stream answered ${answer.status}`);
  void listen(answer.body, heard, () => get('/device/pots').then((pots) => pots.arrayBuffer())).catch(
    () => undefined,
  );
  return () => closing.abort();
}

async function listen(
  body: ReadableStream<Uint8Array>,
  heard: Heard,
  fetchPots: () => Promise<unknown>,
): Promise<void> {
  const decoder = new TextDecoder();
  let text = '';
  let isFetching = false;
  for await (const chunk of body) {
    const parts = (text + decoder.decode(chunk, { stream: true })).split('\n\n');
    text = parts.pop() ?? '';
    for (const part of parts) {
      const data = /^event: change\ndata: (.*)$/.exec(part)?.[1];
      if (data === undefined) continue;
      heard.news += 1;
      if ('read' in (JSON.parse(data) as object) || isFetching) continue;
      heard.fetches += 1;
      isFetching = true;
      void fetchPots()
        .catch(() => undefined)
        .finally(() => (isFetching = false));
    }
  }
}
