import { expect, jest, test } from '@jest/globals';
import { Logger } from '@nestjs/common';
import { v7 as uuid } from 'uuid';
import { CLASS } from './testing/experiments.ts';
import { startTestServer } from './testing/server.ts';

test('requests are told by their routes, without ids, codes, addresses, cookies or names', async () => {
  const told: string[] = [];
  const noted = jest
    .spyOn(Logger.prototype, 'log')
    .mockImplementation((line: unknown) => void told.push(String(line)));
  const server = await startTestServer({ logLevel: 'info' });
  try {
    const teacher = await server.teacher('Mx Quagga');
    const classId = uuid();
    const { code } = (await teacher.put(`/api/classes/${classId}`).send(CLASS).expect(200)).body;
    await server
      .client()
      .post('/api/device')
      .set('Referer', `http://127.0.0.1/join?code=${code}`)
      .set('X-Forwarded-For', '192.0.2.7')
      .send({ code })
      .expect(200);
    await teacher.get('/api/invitations/AAAAABBBBB').expect(404);
    await teacher.get('/api/nothing-here?name=Ada').expect(404);
    const text = told.join('\n');
    expect(text).toMatch(/PUT \/api\/classes\/:newClassId 200 [\d.]+ ms/);
    expect(text).toMatch(/GET \/api\/invitations\/:codeKey 404/);
    for (const secret of [classId, code, 'AAAAABBBBB', '192.0.2.7', 'Quagga', 'Ada', 'cookie'])
      expect(text).not.toContain(secret);
  } finally {
    await server.close();
    noted.mockRestore();
  }
});
