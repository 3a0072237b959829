/** A row as JSON takes it: bytes as base64. */
export function rowAsText(row: Readonly<Record<string, unknown>>): object {
  return Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      Buffer.isBuffer(value) ? value.toString('base64') : value,
    ]),
  );
}
