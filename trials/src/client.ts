import { MOST_PART_BYTES } from '@bright-sprout/core/shared';
import { v7 as uuid } from 'uuid';

/** An answer with its body read. */
export interface Answer {
  readonly status: number;
  readonly body: unknown;
  readonly ms: number;
}

/** One browser or tablet: it keeps its cookies. */
export class Client {
  readonly address: string;
  #cookie = '';

  constructor(address: string) {
    this.address = address;
  }

  /** Sends a request; a connection that breaks is an answer with the status 0. */
  async send(method: string, path: string, body?: unknown, type = 'application/json'): Promise<Answer> {
    const begun = performance.now();
    const content = body === undefined || typeof body === 'string' || body instanceof Uint8Array;
    try {
      const answer = await fetch(`${this.address}/api${path}`, {
        method,
        headers: {
          ...(this.#cookie === '' ? {} : { Cookie: this.#cookie }),
          ...(body === undefined ? {} : { 'Content-Type': type }),
        },
        ...(body === undefined ? {} : { body: (content ? body : JSON.stringify(body)) as BodyInit }),
        signal: AbortSignal.timeout(120_000),
      });
      const [set] = answer.headers.getSetCookie();
      if (set) this.#cookie = set.split(';')[0] ?? '';
      const text = await answer.text();
      return { status: answer.status, body: jsonOf(text), ms: performance.now() - begun };
    } catch {
      return { status: 0, body: undefined, ms: performance.now() - begun };
    }
  }

  /** The body of an answer that must be a success. */
  async must<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await this.send(method, path, body);
    if (answer.status >= 200 && answer.status < 300) return answer.body as T;
    throw new Error(`${method} ${path}: ${answer.status} ${JSON.stringify(answer.body).slice(0, 300)}`);
  }

  /** Sends a file in parts and gives how a request names it. */
  async sendFile(
    file: Uint8Array,
    address = '/uploads',
    partBytes = MOST_PART_BYTES,
  ): Promise<{ uploadId: string; size: number }> {
    const uploadId = uuid();
    for (let at = 0; at < file.length; at += partBytes) {
      const part = file.subarray(at, at + partBytes);
      const answer = await this.#sendTwice(
        'PUT',
        `${address}/${uploadId}/parts/${at}`,
        part,
        'application/octet-stream',
      );
      if (answer.status !== 204)
        throw new Error(`part at ${at}: ${answer.status} ${JSON.stringify(answer.body)}`);
    }
    return { uploadId, size: file.length };
  }

  /** Sends again what got no answer, as a connection that was idle may be closed at the very moment it is used. */
  async #sendTwice(...request: Parameters<Client['send']>): Promise<Answer> {
    const answer = await this.send(...request);
    return answer.status === 0 ? this.send(...request) : answer;
  }

  /** The same browser over another way to the server. */
  through(address: string): Client {
    const other = new Client(address);
    other.#cookie = this.#cookie;
    return other;
  }

  /** Opens a stream of news; gives what ends it. */
  listen(path: string): () => void {
    const stop = new AbortController();
    void fetch(`${this.address}/api${path}`, { headers: { Cookie: this.#cookie }, signal: stop.signal })
      .then(async (answer) => {
        await answer.body?.pipeTo(new WritableStream());
      })
      .catch(() => undefined);
    return () => stop.abort();
  }
}

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}
