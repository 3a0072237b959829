import { resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bootstrap, root } from './bootstrap.mjs';

await bootstrap();
const [file, ...rest] = process.argv.slice(2);
process.argv.splice(1, process.argv.length, resolve(root, file), ...rest);
await import(pathToFileURL(resolve(root, file)).href);
