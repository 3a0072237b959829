import { bootstrap, root } from './bootstrap.mjs';

await bootstrap();
const { start } = await import('./src/start.ts');
await start(root, process.argv.slice(2));
