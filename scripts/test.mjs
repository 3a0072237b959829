import { bootstrap, root } from './bootstrap.mjs';

await bootstrap();
const { testAll } = await import('./src/testing/test-all.ts');
process.exitCode = await testAll(root, process.argv.slice(2));
