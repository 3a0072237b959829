import { dirname } from 'node:path';
import { jestTests } from './suites.ts';

const root = dirname(dirname(dirname(import.meta.dirname)));
const { passed, failed } = await jestTests(root, process.argv.slice(2));
console.log(`${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 ? 0 : 1;
