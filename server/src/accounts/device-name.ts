/** Browsers by what they call themselves, the most telling first, as each also names the ones it is like. */
const BROWSERS: readonly (readonly [pattern: RegExp, name: string])[] = [
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\//, 'Chrome'],
  [/Safari\//, 'Safari'],
];
const SYSTEMS: readonly (readonly [pattern: RegExp, name: string])[] = [
  [/iPad/, 'iPad'],
  [/iPhone/, 'iPhone'],
  [/Android/, 'Android'],
  [/CrOS/, 'Chromebook'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/Linux/, 'Linux'],
];

/** A device as its owner knows it again, `Firefox, Windows`; empty where nothing of it is known. */
export function deviceName(userAgent: string | undefined): string {
  const of = (known: typeof BROWSERS): string =>
    known.find(([pattern]) => pattern.test(userAgent ?? ''))?.[1] ?? '';
  return [of(BROWSERS), of(SYSTEMS)].filter((name) => name !== '').join(', ');
}
