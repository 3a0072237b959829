/** What an entry of a level is given. */
export interface SettingProps {
  readonly path: `factors.${number}.levels.${number}`;
  readonly label: string;
  readonly disabled: boolean;
}

/** A number that may be left empty. */
export const NUMBER = {
  setValueAs: (value: unknown) => (value === '' || value == null ? null : Number(value)),
};

/** A choice of which the first is none. */
export const CHOICE = { setValueAs: (value: unknown) => (value === '' ? null : value) };
