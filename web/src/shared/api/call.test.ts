import { planRoutes } from '@bright-sprout/contract/plans';
import { readingRoutes } from '@bright-sprout/contract/readings';
import { afterEach, describe, expect, jest, test } from '@jest/globals';
import { addressOf, ApiFailure, call } from './call.ts';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

function answerWith(make: () => Promise<Response>) {
  const fetched = jest.fn<typeof fetch>(make);
  globalThis.fetch = fetched;
  return fetched;
}

const params = { experimentId: 'x y' };

describe('calling the API', () => {
  test('sends JSON to the filled path', async () => {
    const fetched = answerWith(() => Promise.resolve(Response.json({ id: '1' })));
    await call(planRoutes.finish, { params, body: { finished: true } });
    expect(fetched).toHaveBeenCalledWith('/api/experiments/x%20y/finish', {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: '{"finished":true}',
    });
  });

  test('gives nothing for an answer without content', async () => {
    answerWith(() => Promise.resolve(new Response(null, { status: 204 })));
    expect(await call(planRoutes.discard, { params })).toBeUndefined();
  });

  test('a refusal carries the words of the server', async () => {
    const body = { code: 'already_planted', message: 'Too late.', fields: [] };
    answerWith(() => Promise.resolve(Response.json(body, { status: 409 })));
    await expect(call(planRoutes.experiment, { params })).rejects.toMatchObject({ body });
  });

  test.each([
    ['no network', () => Promise.reject(new TypeError('Failed to fetch'))],
    ['a page instead of JSON', () => Promise.resolve(new Response('<html>', { status: 200 }))],
    ['a proxy that fails', () => Promise.resolve(new Response('Bad gateway', { status: 502 }))],
  ])('%s becomes words that say what to do', async (_, make) => {
    answerWith(make);
    const failure = await call(readingRoutes.readings, { params }).catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ApiFailure);
    expect((failure as ApiFailure).message).toContain('try again');
  });

  test('leaves out what is not asked', () => {
    expect(addressOf(planRoutes.experiment, params, { day: undefined, rule: 'only_up' })).toBe(
      '/api/experiments/x%20y?rule=only_up',
    );
  });
});
