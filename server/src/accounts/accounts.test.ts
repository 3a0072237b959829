import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { resetPassword } from './index.ts';
import { CLASS, startSown } from '../app/testing/experiments.ts';
import { sendFile, startTestServer, type TestServer } from '../app/testing/server.ts';

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
// All tests come from one address, whose tries count together.
beforeEach(() => server.query('DELETE FROM sign_in_attempts'));
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
    [{ password: 'password1234' }, 'password'],
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

describe('tries', () => {
  const tryAs = (email: string, password = 'not this one') =>
    server.client().post('/api/session').send({ email, password });

  test('fifty at once: no more are compared than are allowed', async () => {
    const email = 'flood@school.example';
    await server
      .client()
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    const answers = await Promise.all(Array.from({ length: 50 }, () => tryAs(email)));
    const statuses = answers.map(({ status }) => status);
    expect(statuses.filter((status) => status === 401).length).toBeLessThanOrEqual(4);
    expect(statuses.filter((status) => status === 429).length).toBeGreaterThanOrEqual(46);
  });

  test('under a name with an accent are tries of the same account', async () => {
    const email = 'rene@school.example';
    await server
      .client()
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    const codes: number[] = [];
    for (const name of ['rené', 'RENE', 'rène', 'rene', 'renê'])
      codes.push((await tryAs(`${name}@school.example`)).status);
    expect(codes).toEqual([401, 401, 401, 401, 429]);
  });

  test('of strangers keep nobody out on a device that was signed in on before', async () => {
    const email = 'known@school.example';
    const own = server.client();
    await own
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    await own.delete('/api/session').expect(204);
    for (let attempt = 0; attempt < 6; attempt += 1) await tryAs(email);
    expect((await tryAs(email, ACCOUNT.password)).status).toBe(429);
    await own.post('/api/session').send({ email, password: ACCOUNT.password }).expect(200);
  });
});

describe('an account in use', () => {
  test('changes its password, and every other sign-in ends', async () => {
    const email = 'change@school.example';
    const [here, there] = [server.client(), server.client()];
    await here
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    await there.post('/api/session').send({ email, password: ACCOUNT.password }).expect(200);
    const change = (current: string, password: string) =>
      here.put('/api/teacher/password').send({ current, password });
    const wrong = await change('not this one', 'three quiet otters');
    expect([wrong.status, wrong.body.fields[0].field]).toEqual([400, 'current']);
    const weak = await change(ACCOUNT.password, 'password12345');
    expect([weak.status, weak.body.fields[0].field]).toEqual([400, 'password']);
    await change(ACCOUNT.password, 'three quiet otters').expect(204);
    await there.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
    await there.post('/api/session').send({ email, password: 'three quiet otters' }).expect(200);
  });

  test('sees its sign-ins, ends one or all others, and none of anybody else', async () => {
    const email = 'list@school.example';
    const agent = 'Mozilla/5.0 (X11; CrOS x86_64) AppleWebKit/537.36 Chrome/140.0 Safari/537.36';
    const [here, there, stranger] = [server.client(), server.client(), server.client()];
    await here
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    await there
      .post('/api/session')
      .set('User-Agent', agent)
      .send({ email, password: ACCOUNT.password })
      .expect(200);
    await stranger
      .post('/api/teachers')
      .send({ ...ACCOUNT, email: 'stranger@school.example' })
      .expect(200);
    const seen = (await here.get('/api/sessions').expect(200)).body;
    expect(seen.map(({ device, isThis }: { device: string; isThis: boolean }) => [device, isThis])).toEqual(
      expect.arrayContaining([
        ['Chrome, Chromebook', false],
        ['', true],
      ]),
    );
    const other = seen.find(({ isThis }: { isThis: boolean }) => !isThis);
    await stranger.delete(`/api/sessions/${other.id}`).expect(204);
    await there.get('/api/session').expect(200);
    await here.delete(`/api/sessions/${other.id}`).expect(204);
    await there.get('/api/session').expect(401);
    await there.post('/api/session').send({ email, password: ACCOUNT.password }).expect(200);
    await here.delete('/api/sessions').expect(204);
    await there.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
  });

  test('ends after ninety days however much it is used', async () => {
    const client = await server.teacher();
    await server.query(
      'UPDATE session SET created_at = NOW(3) - INTERVAL 89 DAY, last_seen_at = NOW(3) - INTERVAL 2 HOUR',
    );
    await client.get('/api/session').expect(200);
    const [row] = await server.query<{ days: string }>(
      'SELECT MAX(TIMESTAMPDIFF(HOUR, NOW(3), expires_at)) / 24 AS days FROM session WHERE last_seen_at > NOW(3) - INTERVAL 1 HOUR AND created_at < NOW(3) - INTERVAL 80 DAY',
    );
    expect(Number(row!.days)).toBeLessThanOrEqual(1.1);
  });

  test('is asked for its password again before what cannot be taken back', async () => {
    const email = 'grave@school.example';
    const client = server.client();
    await client
      .post('/api/teachers')
      .send({ ...ACCOUNT, email })
      .expect(200);
    const classId = uuid();
    await client.put(`/api/classes/${classId}`).send(CLASS).expect(200);
    await server.query('UPDATE session SET confirmed_at = NOW(3) - INTERVAL 1 HOUR');
    expect((await client.delete(`/api/classes/${classId}`)).body.code).toBe('confirm_password');
    const wrong = await client.put('/api/session/confirmed').send({ password: 'not this one' });
    expect(wrong.body.fields[0].field).toBe('password');
    await client.put('/api/session/confirmed').send({ password: ACCOUNT.password }).expect(204);
    await client.delete(`/api/classes/${classId}`).expect(204);
  });

  test('is removed with everything in it', async () => {
    const email = 'leave@school.example';
    const client = server.client();
    const { id } = (
      await client
        .post('/api/teachers')
        .send({ ...ACCOUNT, email })
        .expect(200)
    ).body;
    await client.put(`/api/classes/${uuid()}`).send(CLASS).expect(200);
    const { id: experimentId } = await startSown(client);
    await sendFile(client, 'x');
    await client.delete('/api/teacher').expect(204);
    expect(await server.query('SELECT 1 FROM upload_part')).toEqual([]);
    await client.get('/api/session').expect(401);
    await client.post('/api/session').send({ email, password: ACCOUNT.password }).expect(401);
    const counts = await server.query<{ n: number }>(
      `SELECT (SELECT COUNT(*) FROM school_class WHERE teacher_id = ?) + (SELECT COUNT(*) FROM experiment WHERE id = ?)
         + (SELECT COUNT(*) FROM unit WHERE experiment_id = ?) + (SELECT COUNT(*) FROM session WHERE teacher_id = ?) AS n`,
      [id, experimentId, experimentId, id],
    );
    expect(counts[0]!.n).toBe(0);
  });

  test('what was done is written down by ids alone', async () => {
    const rows = await server.query('SELECT kind, teacher_id, subject_id FROM audit_event');
    const kinds = new Set(rows.map((row) => (row as { kind: string }).kind));
    for (const kind of ['registered', 'signed_in', 'sign_in_refused', 'password_changed', 'account_removed'])
      expect(kinds).toContain(kind);
    expect(JSON.stringify(rows)).not.toMatch(/@|Ada|school/);
  });
});

test('a lost password is made anew by the keeper of the server, and every device is out', async () => {
  const email = 'lost@school.example';
  const client = server.client();
  await client
    .post('/api/teachers')
    .send({ ...ACCOUNT, email })
    .expect(200);
  expect(await resetPassword(server.app, 'nobody@school.example')).toBeUndefined();
  const password = await resetPassword(server.app, ` ${email.toUpperCase()} `);
  expect(password).toMatch(/^([a-z2-9]{4}-){3}[a-z2-9]{4}$/);
  await client.get('/api/session').expect(401);
  await client.post('/api/session').send({ email, password: ACCOUNT.password }).expect(401);
  await client.post('/api/session').send({ email, password }).expect(200);
});

describe('a server', () => {
  test('that is closed opens no account, and says so', async () => {
    const closed = await startTestServer({ registration: 'closed' });
    try {
      const answer = await closed.client().post('/api/teachers').send(ACCOUNT);
      expect([answer.status, answer.body.code]).toEqual([403, 'registration_closed']);
      const told = await closed.client().get('/api/registration').expect(200);
      expect(told.body).toEqual({ registration: 'closed' });
    } finally {
      await closed.close();
    }
  });

  test('by invitation opens an account for its text alone, and limits who guesses', async () => {
    const invited = await startTestServer({
      registration: 'invitation',
      invitation: 'warm frame 7',
      signInTries: 1,
    });
    const ask = (invitation?: string, email = ACCOUNT.email) =>
      invited
        .client()
        .post('/api/teachers')
        .send({ ...ACCOUNT, email, ...(invitation === undefined ? {} : { invitation }) });
    try {
      for (const wrong of [undefined, '', 'Warm frame 7', 'warm frame'] as const) {
        const answer = await ask(wrong, `${uuid()}@school.example`);
        expect([answer.status, answer.body.fields[0].field]).toEqual([400, 'invitation']);
      }
      await ask(' warm frame 7 ').expect(200);
      const guesses = await Promise.all(
        [1, 2, 3, 4].map((guess) => ask(`guess ${guess}`, `${uuid()}@school.example`)),
      );
      expect(guesses.filter(({ status }) => status === 429)).toHaveLength(2);
      const [row] = await invited.query<{ n: number }>('SELECT COUNT(*) AS n FROM teacher WHERE is_demo = 0');
      expect(row!.n).toBe(1);
    } finally {
      await invited.close();
    }
  });

  test('behind HTTPS binds its cookies to its host, and says that the line stays safe', async () => {
    const safe = await startTestServer({ trustedProxies: 1 });
    try {
      const answer = await safe
        .client()
        .post('/api/teachers')
        .set('X-Forwarded-Proto', 'https')
        .send({ ...ACCOUNT, email: 'safe@school.example' })
        .expect(200);
      for (const cookie of answer.get('Set-Cookie') ?? []) {
        expect(cookie).toMatch(/^__Host-/);
        expect(cookie).toMatch(/; Secure/);
      }
      expect(answer.get('Strict-Transport-Security')).toMatch(/^max-age=\d{7,}/);
      const plain = await safe.client().get('/api/health');
      expect(plain.get('Strict-Transport-Security')).toBeUndefined();
      expect(plain.get('Permissions-Policy')).toContain('camera=(self)');
      expect(plain.get('Content-Security-Policy')).toContain("frame-ancestors 'none'");
    } finally {
      await safe.close();
    }
  });
});
