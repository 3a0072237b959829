import { defineConfig } from 'rolldown';

/** Packages with native parts, threads or files of their own; they are read from where they are installed. */
const INSTALLED = ['@node-rs/argon2', 'mysql2', /^mysql2\//, 'piscina', 'sharp'];

/** What frameworks would load if it were installed. */
const NOT_USED = [
  /^@nestjs\/(microservices|websockets|platform-socket.io)/,
  'class-transformer/storage',
  ...['@google-cloud/spanner', '@sap/hana-client', 'hdb-pool', 'mongodb', 'mysql', 'better-sqlite3'],
  ...['ioredis', 'redis', 'oracledb', 'pg', 'pg-native', 'pg-query-stream', 'sql.js', 'sqlite3', 'mssql'],
  ...['react-native-sqlite-storage', 'typeorm-aurora-data-api-driver', '@fastify/static', 'fastify'],
];

const entry = (name: string): string => `server/dist/src/app/${name}.js`;

/** The built server in a few files: Node reads them several times faster than some two thousand, in each thread anew. */
export default defineConfig({
  input: Object.fromEntries(
    ['main', 'heavy-worker', 'run-migrate', 'run-load-demo', 'run-reset-password'].map((name) => [
      name,
      entry(name),
    ]),
  ),
  platform: 'node',
  external: [...INSTALLED, ...NOT_USED],
  // Entities, migrations and services are known by the names of their classes.
  output: { dir: 'server/dist/packed', format: 'esm', keepNames: true, cleanDir: true },
});
