import { dirname } from 'node:path';
import { makeAnswerSchemas } from './answer-schemas.ts';

makeAnswerSchemas(dirname(dirname(import.meta.dirname)), process.argv[2] ?? '');
