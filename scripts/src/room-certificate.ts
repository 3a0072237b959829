import { spawnSync } from 'node:child_process';
import { createHash, randomBytes, X509Certificate } from 'node:crypto';
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

/** A school year: browsers take at most 825 days of a certificate that a person trusts by hand. */
const DAYS = 397;
const RENEW_BEFORE_MS = 14 * 86_400_000;

/**
 * The certificate of a room, made where there is none for these addresses yet or it ends soon. What tablets trust can
 * speak for the room's own names and addresses alone, and its key is thrown away once it has signed: whoever copies the
 * data folder can pose as nobody else. So tablets are told once more where the addresses change, and each year.
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
  // A key that is still there is of a version that kept it, for a certificate that can speak for any name.
  const isKept = existsSync(trustKey);
  if (isKept || !existsSync(trust) || !isGood(cert, names, now)) {
    rmSync(cert, { force: true });
    try {
      makeAuthority({ trust, trustKey, names });
      makeServing({ trust, trustKey, cert, key, names, into });
    } finally {
      rmSync(trustKey, { force: true });
    }
  }
  const fingerprint = createHash('sha256')
    .update(new X509Certificate(readFileSync(trust)).raw)
    .digest('hex');
  return { certPath: cert, keyPath: key, trustPath: trust, fingerprint: inPairs(fingerprint) };
}

/** Makes a certificate that tablets trust, which can sign for these names and addresses alone (RFC 5280, 4.2.1.10). */
export function makeAuthority({
  trust,
  trustKey,
  names,
}: {
  readonly trust: string;
  readonly trustKey: string;
  readonly names: readonly string[];
}): void {
  makeKey(trustKey);
  const permitted = names.map((name) =>
    isAddress(name) ? `permitted;IP:${name}/255.255.255.255` : `permitted;DNS:${name}`,
  );
  const extensions = [
    'basicConstraints=critical,CA:TRUE,pathlen:0',
    'keyUsage=critical,keyCertSign',
    `nameConstraints=critical,${permitted.join(',')}`,
  ].flatMap((extension) => ['-addext', extension]);
  const made = ['req', '-x509', '-new', '-key', trustKey, '-out', trust, '-days', String(DAYS)];
  openssl(...made, '-subj', '/CN=Bright Sprout room', ...extensions);
}

function isAddress(name: string): boolean {
  return /^\d+\.\d+\.\d+\.\d+$/.test(name);
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

/** Makes a certificate for these names, signed by what tablets trust. */
export function makeServing({ trust, trustKey, cert, key, names, into }: Serving): void {
  const [request, extensions] = [join(into, 'room.csr'), join(into, 'room.ext')];
  const listed = names.map((name) => `${isAddress(name) ? 'IP' : 'DNS'}:${name}`).join(',');
  makeKey(key);
  writeFileSync(
    extensions,
    `subjectAltName=${listed}\nextendedKeyUsage=serverAuth\nbasicConstraints=CA:FALSE\n`,
  );
  openssl('req', '-new', '-key', key, '-out', request, '-subj', '/CN=Bright Sprout');
  const signed = [
    '-CA',
    trust,
    '-CAkey',
    trustKey,
    '-set_serial',
    `0x${randomBytes(16).toString('hex')}`,
    '-out',
    cert,
    '-days',
    String(DAYS),
  ];
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
