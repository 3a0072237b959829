import { HeavyWork, readSettings } from '../shared/index.ts';
import { createApp } from './create-app.ts';
import { HealthController } from './health.controller.ts';
import { outliveErrors } from './outlive-errors.ts';
import { StorageGuard } from './storage.guard.ts';
import { stopInTime } from './stop-in-time.ts';

const settings = readSettings(process.env);
outliveErrors(process);
const app = await createApp(settings);
stopInTime(app, process);
await app.listen(settings.port, settings.host);
process.on('message', (message) => app.get(StorageGuard).hear(message));
await app.get(HealthController).warm();
process.send?.('listening');
// Whoever asks for figures meanwhile waits for a thread, not for the whole server.
await app.get(HeavyWork).warm();
