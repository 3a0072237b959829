import { DefaultNamingStrategy } from 'typeorm';

/** Names columns as the field's terms with underscores: `sowedOn` becomes `sowed_on`. */
export class UnderscoreNaming extends DefaultNamingStrategy {
  override columnName(propertyName: string, customName: string | undefined, prefixes: string[]): string {
    const name = customName ?? propertyName.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
    return [...prefixes, name].join('_');
  }
}
