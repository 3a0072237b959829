import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { OutboxItem } from './outbox-item.ts';

interface Schema extends DBSchema {
  outbox: { key: string; value: OutboxItem };
  kept: { key: string; value: unknown };
}

/** What stays on this device over a reload: what waits to be sent, and copies of what was fetched. */
export interface DeviceStore {
  items(): Promise<OutboxItem[]>;
  putItem(item: OutboxItem): Promise<void>;
  removeItem(id: string): Promise<void>;
  kept(key: string): Promise<unknown>;
  keep(key: string, value: unknown): Promise<void>;
  forget(key: string): Promise<void>;
}

/** The device's own database; memory where a browser has none or forbids it. */
export function deviceStore(): DeviceStore {
  return typeof indexedDB === 'undefined' ? memoryStore() : databaseStore();
}

function databaseStore(): DeviceStore {
  let opened: Promise<IDBPDatabase<Schema>> | undefined;
  const database = (): Promise<IDBPDatabase<Schema>> =>
    (opened ??= openDB<Schema>('bright-sprout', 1, {
      upgrade(fresh) {
        fresh.createObjectStore('outbox', { keyPath: 'id' });
        fresh.createObjectStore('kept');
      },
    }));
  return {
    items: async () => (await database()).getAll('outbox'),
    putItem: async (item) => {
      await (await database()).put('outbox', item);
    },
    removeItem: async (id) => (await database()).delete('outbox', id),
    kept: async (key) => (await database()).get('kept', key),
    keep: async (key, value) => {
      await (await database()).put('kept', value, key);
    },
    forget: async (key) => (await database()).delete('kept', key),
  };
}

/** A store that lasts as long as the page. */
export function memoryStore(): DeviceStore {
  const outbox = new Map<string, OutboxItem>();
  const kept = new Map<string, unknown>();
  return {
    items: () => Promise.resolve([...outbox.values()]),
    putItem: (item) => Promise.resolve(void outbox.set(item.id, item)),
    removeItem: (id) => Promise.resolve(void outbox.delete(id)),
    kept: (key) => Promise.resolve(kept.get(key)),
    keep: (key, value) => Promise.resolve(void kept.set(key, value)),
    forget: (key) => Promise.resolve(void kept.delete(key)),
  };
}
