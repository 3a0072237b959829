import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startTestServer, type TestServer } from '../app/testing/server.ts';

let server: TestServer;
const ACCOUNT = {
  email: 'Ada@School.example',
  displayName: 'Ada',
  password: 'correct horse battery',
  timeZone: 'Europe/Lisbon',
};

beforeAll(async () => {
  server = await startTestServer({ signInTries: 4 });
  await server.client().post('/api/teachers').send(ACCOUNT).expect(200);
});
afterAll(() => server.close());

describe('an account', () => {
  test('signs in whatever the case of its address, and is told who it is', async () => {
    const client = server.client();
    const answer = await client
      .post('/api/session')
      .send({ email: 'ada@school.EXAMPLE', password: ACCOUNT.password });
    expect(answer.status).toBe(200);
    expect((await client.get('/api/session')).body).toMatchObject({
      displayName: 'Ada',
      timeZone: 'Europe/Lisbon',
      isDemo: false,
    });
  });

  test('keeps its password as an argon2id hash and its token as a hash', async () => {
    const [row] = await server.query<{ password_hash: string }>('SELECT password_hash FROM teacher');
    expect(row!.password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    const answer = await server
      .client()
      .post('/api/teachers')
      .send({ ...ACCOUNT, email: 'bo@school.example' });
    const [cookie] = answer.get('Set-Cookie') ?? [];
    const token = /session=([^;]+)/.exec(cookie ?? '')![1];
    const rows = await server.query<{ token_hash: Buffer }>('SELECT token_hash FROM session');
    for (const { token_hash } of rows) expect(token_hash.toString('latin1')).not.toContain(token);
    expect(JSON.stringify(answer.body)).not.toContain('hash');
  });

  test('gets a cookie that no script and no other site can use', async () => {
    const answer = await server
      .client()
      .post('/api/teachers')
      .send({ ...ACCOUNT, email: 'cy@school.example' });
    const [cookie] = answer.get('Set-Cookie') ?? [];
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
  });

  test('cannot be opened twice', async () => {
    const answer = await server
      .client()
      .post('/api/teachers')
      .send({ ...ACCOUNT, email: 'ADA@school.example' });
    expect([answer.status, answer.body.code, answer.body.fields[0].field]).toEqual([
      409,
      'email_taken',
      'email',
    ]);
  });

  test.each([
    [{ email: 'not an address' }, 'email'],
    [{ email: `${'a'.repeat(250)}@x.example` }, 'email'],
    [{ password: 'short' }, 'password'],
    [{ password: 12345678901 }, 'password'],
    [{ displayName: '   ' }, 'displayName'],
    [{ timeZone: 'Mars/Base' }, 'timeZone'],
    [{ isDemo: true }, 'isDemo'],
  ])('is refused with %p', async (changes, field) => {
    const body = { ...ACCOUNT, email: `d${field}@school.example`, ...changes };
    const answer = await server.client().post('/api/teachers').send(body);
    expect([answer.status, answer.body.code, answer.body.fields[0].field]).toEqual([
      400,
      'invalid_fields',
      field,
    ]);
  });
});

describe('a session', () => {
  test('ends when signed out, also for a copied cookie', async () => {
    const client = server.client();
    const answer = await client.post('/api/teachers').send({ ...ACCOUNT, email: 'ed@school.example' });
    const cookie = (answer.get('Set-Cookie') ?? []).map((line) => line.split(';')[0]).join('; ');
    await client.delete('/api/session').expect(204);
    const copied = await server.client().get('/api/session').set('Cookie', cookie);
    expect([copied.status, copied.body.code]).toEqual([401, 'not_signed_in']);
  });

  test('ends when its time is over', async () => {
    const client = await server.teacher();
    await client.get('/api/session').expect(200);
    await server.query('UPDATE session SET expires_at = NOW() - INTERVAL 1 MINUTE');
    await client.get('/api/session').expect(401);
  });
});

describe('sign-in', () => {
  test('gives the same answer for a wrong password and an unknown account', async () => {
    const wrong = await server
      .client()
      .post('/api/session')
      .send({ email: ACCOUNT.email, password: 'not this one' });
    const unknown = await server
      .client()
      .post('/api/session')
      .send({ email: 'no@one.example', password: 'not this one' });
    expect(wrong.status).toBe(401);
    expect(unknown.body).toEqual(wrong.body);
  });

  test('is limited for an account, and others may go on', async () => {
    const email = 'target@school.example';
    const codes: number[] = [];
    for (let attempt = 0; attempt < 6; attempt += 1) {
      codes.push((await server.client().post('/api/session').send({ email, password: 'guess' })).status);
    }
    expect(codes).toEqual([401, 401, 401, 401, 429, 429]);
    const answer = await server
      .client()
      .post('/api/session')
      .send({ email: ' TARGET@school.example', password: 'guess' });
    expect(answer.body.code).toBe('too_many_tries');
    await server
      .client()
      .post('/api/session')
      .send({ email: 'other@school.example', password: 'guess' })
      .expect(401);
  });
});
