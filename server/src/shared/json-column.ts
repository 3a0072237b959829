import type { ValueTransformer } from 'typeorm';

/** Keeps a value as JSON text. */
export const asJson: ValueTransformer = {
  to: (value: unknown) => (value === null || value === undefined ? value : JSON.stringify(value)),
  from: (text: string | null) => (text === null ? null : (JSON.parse(text) as unknown)),
};
