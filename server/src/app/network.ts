import { networkInterfaces } from 'node:os';

/** What a network interface of this machine is, as far as an address needs it. */
export interface MachineAddress {
  readonly address: string;
  readonly family: string;
  readonly internal: boolean;
}

/** How the server listens. */
export interface Listening {
  readonly host: string;
  readonly port: number;
  readonly isSafe: boolean;
}

const EVERYWHERE: readonly string[] = ['0.0.0.0', '::'];
const LOOPBACK = /^(localhost|127\.\d+\.\d+\.\d+|\[::1\])(:\d+)?$/;

/** True of a host name that only this very machine reaches. */
export function isLoopback(host: string): boolean {
  return LOOPBACK.test(host);
}

/** Addresses of this machine. */
export function machineAddresses(): MachineAddress[] {
  return Object.values(networkInterfaces()).flatMap((one) => one ?? []);
}

/**
 * Where other devices open the application, the likeliest first: the address that was asked for when it is not one of
 * this machine alone, else every address of the networks that this machine is in, as far as the server listens there.
 * @param asked scheme and host that the request came to
 * @returns none where only this machine can open it
 */
export function reachableOrigins(
  asked: { readonly scheme: string; readonly host: string },
  { host, port, isSafe }: Listening,
  machine: readonly MachineAddress[],
): string[] {
  const scheme = isSafe ? 'https' : 'http';
  const own = isLoopback(asked.host) ? [] : [`${asked.scheme}://${asked.host}`];
  const listening = machine
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .filter(({ address }) => EVERYWHERE.includes(host) || address === host)
    .map(({ address }) => `${scheme}://${address}:${port}`);
  return [...new Set([...own, ...listening])];
}
