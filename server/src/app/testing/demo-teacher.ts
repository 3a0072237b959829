import { loadDemo } from '../load-demo.ts';
import type { Client, TestServer } from './server.ts';

const PASSWORD = 'a demo password';

/** Loads the demo anew, and gives its teacher, signed in. */
export async function demoTeacher(server: TestServer): Promise<Client> {
  await loadDemo(server.app, PASSWORD);
  const client = server.client();
  const [demo] = await server.query<{ email: string }>('SELECT email FROM teacher WHERE is_demo = 1');
  await client.post('/api/session').send({ email: demo!.email, password: PASSWORD }).expect(200);
  return client;
}
