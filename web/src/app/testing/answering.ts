/** A request that a page made. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
}

/** What the server answers: a value as JSON, a refusal, or no answer at all. */
export type Answer =
  | object
  | { readonly refused: number; readonly code: string; readonly fields?: readonly object[] }
  | 'lost';

/** Stands in for the server: each request is answered by the first entry whose words begin it, `PUT /api/x`. */
export function answering(answers: Readonly<Record<string, Answer>>): Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = ((path: string, init?: RequestInit) => {
    const method = init?.method ?? 'GET';
    const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : undefined;
    asked.push({ method, path, body });
    const [, answer = []] =
      Object.entries(answers).find(([words]) => `${method} ${path}`.startsWith(words)) ?? [];
    if (answer === 'lost') return Promise.reject(new TypeError('Failed to fetch'));
    if (typeof answer === 'object' && 'refused' in answer) {
      const { refused, code, fields = [] } = answer as { refused: number; code: string; fields?: object[] };
      return Promise.resolve(
        Response.json({ code, message: `Refused: ${code}.`, fields }, { status: refused }),
      );
    }
    return Promise.resolve(Response.json(answer));
  }) as unknown as typeof fetch;
  return asked;
}

/** A teacher as the session tells of one. */
export const TEACHER = {
  id: 't',
  email: 'sage@school.example',
  displayName: 'Mx Sage',
  timeZone: 'UTC',
  isDemo: false,
};
