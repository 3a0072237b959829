declare module 'class-transformer/cjs/storage.js' {
  /** Nested types declared with `@Type`; the package exports them under this path only. */
  export const defaultMetadataStorage: object;
}
