import { bootstrap, root } from './bootstrap.mjs';

await bootstrap();
const { testAll } = await import('./src/test-all.ts');
process.exitCode = await testAll(root);
