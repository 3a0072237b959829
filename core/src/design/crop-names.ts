import type { Crop } from './crop.ts';

/** Names that a crop of the starting list goes by elsewhere. */
const OTHER_NAMES: Readonly<Record<string, readonly string[]>> = {
  'bush-bean': ['French bean', 'Green bean', 'Kidney bean'],
  'lima-bean': ['Butter bean'],
  'broad-bean': ['Fava bean', 'Field bean'],
  'runner-bean': ['Scarlet runner'],
  'sweet-corn': ['Corn', 'Maize'],
  'summer-squash': ['Courgette', 'Zucchini'],
  'mung-bean': ['Green gram'],
  alfalfa: ['Lucerne'],
  beet: ['Red beet'],
  chard: ['Swiss chard', 'Leaf beet'],
  chickpea: ['Garbanzo'],
  coriander: ['Cilantro'],
  groundnut: ['Peanut'],
  oak: ['Acorn'],
  pepper: ['Capsicum', 'Paprika'],
};

/**
 * Crops to choose from by whatever name: each by its own, and after all of them by its other names.
 * @returns id and name; one crop comes several times
 */
export function cropChoices(crops: readonly Pick<Crop, 'id' | 'commonName'>[]): [id: string, name: string][] {
  const others = crops.flatMap(({ id, commonName }) =>
    (OTHER_NAMES[id] ?? []).map((name): [string, string] => [id, `${name} (${commonName.toLowerCase()})`]),
  );
  return [
    ...crops.map(({ id, commonName }): [string, string] => [id, commonName]),
    ...others.sort(([, a], [, b]) => a.localeCompare(b, 'en')),
  ];
}
