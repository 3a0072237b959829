/** What an entry of a level is given. */
export interface SettingProps {
  readonly path: `factors.${number}.levels.${number}`;
  readonly label: string;
  readonly disabled: boolean;
}
