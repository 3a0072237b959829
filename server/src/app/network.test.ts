import { describe, expect, test } from '@jest/globals';
import { startTestServer } from './testing/server.ts';
import { type MachineAddress, reachableOrigins } from './network.ts';

const MACHINE: readonly MachineAddress[] = [
  { address: '127.0.0.1', family: 'IPv4', internal: true },
  { address: '192.168.4.20', family: 'IPv4', internal: false },
  { address: 'fe80::1', family: 'IPv6', internal: false },
  { address: '10.1.2.3', family: 'IPv4', internal: false },
];
const here = { scheme: 'http', host: '127.0.0.1:8080' };

describe('where tablets open it', () => {
  test.each([
    ['this machine alone', '127.0.0.1', here, []],
    ['every network', '0.0.0.0', here, ['http://192.168.4.20:8080', 'http://10.1.2.3:8080']],
    ['one network', '10.1.2.3', here, ['http://10.1.2.3:8080']],
    [
      'a name that was asked for',
      '127.0.0.1',
      { scheme: 'https', host: 'sprout.school.example' },
      ['https://sprout.school.example'],
    ],
    [
      'an address that was asked for comes first',
      '0.0.0.0',
      { scheme: 'http', host: '10.1.2.3:8080' },
      ['http://10.1.2.3:8080', 'http://192.168.4.20:8080'],
    ],
    ['the machine by its own name', '127.0.0.1', { scheme: 'http', host: 'localhost:8080' }, []],
  ])('%s', (_, host, asked, origins) => {
    expect(reachableOrigins(asked, { host, port: 8080, isSafe: false }, MACHINE)).toEqual(origins);
  });

  test('is told to teachers, by the machine that serves', async () => {
    const server = await startTestServer();
    try {
      await server.client().get('/api/network').expect(401);
      const teacher = await server.teacher();
      expect((await teacher.get('/api/network').expect(200)).body).toEqual({ origins: [] });
      const named = await teacher.get('/api/network').set('Host', 'sprout.school.example').expect(200);
      expect(named.body.origins[0]).toBe('http://sprout.school.example');
    } finally {
      await server.close();
    }
  });
});
