declare module 'datapackage' {
  /** A table of a package, with its keys; `read` throws at the first cell or key that is wrong. */
  interface Resource {
    readonly name: string;
    readonly tabular: boolean;
    read(options: { keyed: true; relations: true }): Promise<Record<string, unknown>[]>;
  }
  export class Package {
    static load(path: string, options?: { strict?: boolean }): Promise<Package>;
    readonly valid: boolean;
    readonly errors: readonly Error[];
    readonly resources: readonly Resource[];
  }
}
