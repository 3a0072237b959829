import { Agent, request } from 'node:http';
import { DEMO_EMAIL, type TemporaryApplication } from '@bright-sprout/scripts';

/** One answer of the API. */
interface Answer {
  readonly status: number;
  readonly text: string;
  readonly cookie: string;
}

/** Calls the API as the demo teacher over one connection that stays open, as a browser does. */
export class ApiClient {
  readonly #address: string;
  readonly #agent = new Agent({ keepAlive: true, maxSockets: 1 });
  #cookie = '';

  private constructor(address: string) {
    this.#address = address;
  }

  /** Calls a server that asks nobody who it is. */
  static at(address: string): ApiClient {
    return new ApiClient(address);
  }

  /** Signs in as the demo teacher. */
  static async signIn(application: TemporaryApplication): Promise<ApiClient> {
    const client = ApiClient.at(application.address);
    const answer = await client.#send('POST', '/session', {
      email: DEMO_EMAIL,
      password: application.password,
    });
    client.#cookie = answer.cookie;
    return client;
  }

  /** @throws Error on any answer but a success */
  async get(path: string): Promise<unknown> {
    return JSON.parse((await this.#send('GET', path)).text);
  }

  /** @throws Error on any answer but a success */
  async put(path: string, body: object): Promise<unknown> {
    return JSON.parse((await this.#send('PUT', path, body)).text);
  }

  /** @throws Error on any answer but a success */
  async remove(path: string): Promise<void> {
    await this.#send('DELETE', path);
  }

  /** Closes the connection. */
  close(): void {
    this.#agent.destroy();
  }

  #send(method: string, path: string, body?: object): Promise<Answer> {
    const content = body ? JSON.stringify(body) : '';
    const headers = {
      Cookie: this.#cookie,
      ...(body ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(content) } : {}),
    };
    return new Promise((resolve, reject) => {
      const sent = request(
        `${this.#address}/api${path}`,
        { method, headers, agent: this.#agent },
        (response) => {
          const parts: Buffer[] = [];
          response.on('data', (part: Buffer) => parts.push(part));
          response.on('end', () => {
            const text = Buffer.concat(parts).toString();
            const status = response.statusCode ?? 0;
            const cookie = (response.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
            if (status >= 200 && status < 300) resolve({ status, text, cookie });
            else reject(new Error(`${method} ${path} answered ${status}: ${text}`));
          });
        },
      );
      sent.once('error', reject);
      sent.end(content);
    });
  }
}
