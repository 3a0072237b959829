import { Agent, request } from 'node:http';
import { DEMO_EMAIL } from '@bright-sprout/scripts';
/** Calls the API as the demo teacher over one connection that stays open, as a browser does. */
export class ApiClient {
    #address;
    #agent = new Agent({ keepAlive: true, maxSockets: 1 });
    #cookie = '';
    constructor(address) {
        this.#address = address;
    }
    /** Signs in as the demo teacher. */
    static async signIn(application) {
        const client = new ApiClient(application.address);
        const answer = await client.#send('POST', '/session', {
            email: DEMO_EMAIL,
            password: application.password,
        });
        client.#cookie = answer.cookie;
        return client;
    }
    /** @throws Error on any answer but a success */
    async get(path) {
        return JSON.parse((await this.#send('GET', path)).text);
    }
    /** @throws Error on any answer but a success */
    async put(path, body) {
        return JSON.parse((await this.#send('PUT', path, body)).text);
    }
    /** @throws Error on any answer but a success */
    async remove(path) {
        await this.#send('DELETE', path);
    }
    /** Closes the connection. */
    close() {
        this.#agent.destroy();
    }
    #send(method, path, body) {
        const content = body ? JSON.stringify(body) : '';
        const headers = {
            Cookie: this.#cookie,
            ...(body ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(content) } : {}),
        };
        return new Promise((resolve, reject) => {
            const sent = request(`${this.#address}/api${path}`, { method, headers, agent: this.#agent }, (response) => {
                const parts = [];
                response.on('data', (part) => parts.push(part));
                response.on('end', () => {
                    const text = Buffer.concat(parts).toString();
                    const status = response.statusCode ?? 0;
                    const cookie = (response.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
                    if (status >= 200 && status < 300)
                        resolve({ status, text, cookie });
                    else
                        reject(new Error(`${method} ${path} answered ${status}: ${text}`));
                });
            });
            sent.once('error', reject);
            sent.end(content);
        });
    }
}
//# sourceMappingURL=client.js.map