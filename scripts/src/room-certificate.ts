import { spawnSync } from 'node:child_process';
import { createHash, X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { hostname } from 'node:os';
import { join } from 'node:path';
import { ensureTool, findProgram, OPENSSL, Trouble } from './tools.ts';

/** A certificate made for the room: the one that serves, and the one that tablets are told to trust. */
export interface RoomCertificate {
  readonly certPath: string;
  readonly keyPath: string;
  /** What tablets are told to trust, in PEM. */
  readonly trustPath: string;
  /** Of what tablets trust, to be compared by eye. */
  readonly fingerprint: string;
}

/** Browsers take a certificate of at most 825 days for one that a person trusts by hand; it is made anew before that. */
const DAYS = 397;
const TRUST_DAYS = 1825;
const RENEW_BEFORE_MS = 14 * 86_400_000;

/**
 * The certificate of a room, made where there is none for these addresses yet or it ends soon. What tablets trust stays
 * the same meanwhile, so that they are told once.
 * @param addresses of this machine, by which tablets open it
 */
export function roomCertificate(folder: string, addresses: readonly string[], now: Date): RoomCertificate {
  ensureTool(OPENSSL);
  const into = join(folder, 'tls');
  mkdirSync(into, { recursive: true, mode: 0o700 });
  const path = (name: string): string => join(into, name);
  const [trust, trustKey, cert, key] = ['room-trust.pem', 'room-trust.key', 'room.pem', 'room.key'].map(
    path,
  ) as [string, string, string, string];
  const names = [...new Set(['localhost', hostname(), ...addresses, '127.0.0.1'])].filter(
    (name) => name !== '',
  );
  if (!isGood(trust, [], now)) {
    makeKey(trustKey);
    const subject = [
      '-subj',
      '/CN=Bright Sprout room',
      '-addext',
      'basicConstraints=critical,CA:TRUE,pathlen:0',
    ];
    openssl('req', '-x509', '-new', '-key', trustKey, '-out', trust, '-days', String(TRUST_DAYS), ...subject);
    rmSync(cert, { force: true });
  }
  if (!isGood(cert, names, now)) makeServing({ trust, trustKey, cert, key, names, into });
  const fingerprint = createHash('sha256')
    .update(new X509Certificate(readFileSync(trust)).raw)
    .digest('hex');
  return { certPath: cert, keyPath: key, trustPath: trust, fingerprint: inPairs(fingerprint) };
}

/** True of a certificate that is there, does not end soon, and is for every one of these names. */
function isGood(path: string, names: readonly string[], now: Date): boolean {
  if (!existsSync(path)) return false;
  const { validTo, subjectAltName = '' } = new X509Certificate(readFileSync(path));
  const isLong = Date.parse(validTo) - now.getTime() > RENEW_BEFORE_MS;
  const listed = new Set(subjectAltName.split(', ').map((entry) => entry.replace(/^(DNS|IP Address):/, '')));
  return isLong && names.every((name) => listed.has(name));
}

interface Serving {
  readonly trust: string;
  readonly trustKey: string;
  readonly cert: string;
  readonly key: string;
  readonly names: readonly string[];
  readonly into: string;
}

function makeServing({ trust, trustKey, cert, key, names, into }: Serving): void {
  const [request, extensions] = [join(into, 'room.csr'), join(into, 'room.ext')];
  const listed = names.map((name) => `${/^\d+\.\d+\.\d+\.\d+$/.test(name) ? 'IP' : 'DNS'}:${name}`).join(',');
  makeKey(key);
  writeFileSync(
    extensions,
    `subjectAltName=${listed}\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\n`,
  );
  openssl('req', '-new', '-key', key, '-out', request, '-subj', '/CN=Bright Sprout');
  const signed = ['-CA', trust, '-CAkey', trustKey, '-CAcreateserial', '-out', cert, '-days', String(DAYS)];
  openssl('x509', '-req', '-in', request, ...signed, '-extfile', extensions);
  for (const path of [request, extensions]) rmSync(path, { force: true });
}

function makeKey(path: string): void {
  openssl('genpkey', '-algorithm', 'EC', '-pkeyopt', 'ec_paramgen_curve:P-256', '-out', path);
}

function openssl(...args: readonly string[]): void {
  const run = spawnSync(findProgram('openssl') as string, args, { stdio: ['ignore', 'ignore', 'pipe'] });
  if (run.status !== 0)
    throw new Trouble(`The certificate of the room could not be made: ${run.stderr.toString().trim()}`);
}

function inPairs(hex: string): string {
  return (hex.toUpperCase().match(/../g) ?? []).join(':');
}
