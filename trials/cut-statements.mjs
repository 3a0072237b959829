// Loaded before the migration by its trial: kills the process right after the statement with a number, as a power cut
// would. Plain JavaScript, as it runs inside the built server.
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';

const at = Number(process.env.BRIGHT_SPROUT_CUT_AT ?? 0);
const CHANGES = /^\s*(CREATE|ALTER|DROP|INSERT|UPDATE|DELETE|COMMIT|START)/i;
let count = 0;

if (at > 0) {
  const load = createRequire(import.meta.url);
  const Connection = load(join(dirname(load.resolve('mysql2')), 'lib', 'base', 'connection.js'));
  const { query } = Connection.prototype;
  Connection.prototype.query = function (sql, values, done) {
    const text = typeof sql === 'string' ? sql : (sql?.sql ?? '');
    if (!CHANGES.test(text)) return query.call(this, sql, values, done);
    count += 1;
    const isLast = count === at;
    const take = typeof values === 'function' ? values : done;
    const after = (...results) => {
      if (isLast) process.kill(process.pid, 'SIGKILL');
      take?.(...results);
    };
    return typeof values === 'function' ? query.call(this, sql, after) : query.call(this, sql, values, after);
  };
}
