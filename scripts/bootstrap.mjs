// Plain JavaScript, because it runs before any package is installed.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));

/** Checks Node, installs the packages that the lock file names when they are not there, and lets Node read TypeScript. */
export async function bootstrap() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    stop(`Node 20.19 or newer is needed; this is ${process.versions.node}.`);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.bright-sprout-lock');
  if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
    console.log('installing npm packages …');
    const begun = performance.now();
    const run = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts', '--loglevel=error'], {
      cwd: root,
      stdio: 'inherit',
    });
    if (run.status !== 0)
      stop(
        'The npm packages could not be installed; the lines above say why. Check the network, then run this again.',
      );
    mkdirSync(dirname(stamp), { recursive: true });
    writeFileSync(stamp, lock);
    process.env.BRIGHT_SPROUT_INSTALL_SECONDS = String((performance.now() - begun) / 1000);
  }
  process.env.SWC_NODE_PROJECT ??= join(root, 'scripts', 'tsconfig.json');
  await import('@swc-node/register/esm-register');
}

function stop(words) {
  console.error(`\n${words}\n`);
  process.exit(1);
}
