import { readSettings } from '../shared/index.ts';
import { createApp } from './create-app.ts';

const settings = readSettings(process.env);
const app = await createApp(settings);
await app.listen(settings.port, settings.host);
process.send?.('listening');
