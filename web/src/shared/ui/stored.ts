/** What a store of the browser holds under a name; undefined for nothing, or for what cannot be read. */
export function storedJson(store: () => Storage, name: string): unknown {
  try {
    return JSON.parse(store().getItem(name) ?? 'null') ?? undefined;
  } catch {
    return undefined;
  }
}

/** Keeps a value in a store of the browser, or forgets it where it is undefined. A full or closed store stops nobody. */
export function storeJson(store: () => Storage, name: string, value: unknown): void {
  try {
    if (value === undefined) store().removeItem(name);
    else store().setItem(name, JSON.stringify(value));
  } catch {
    // What cannot be kept must not stop anybody from typing.
  }
}
