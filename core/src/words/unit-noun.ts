import { say } from '@bright-sprout/words/plan-statements';

/** What a unit is called: a pan is sown in sections, a crate in rows. */
export type UnitNoun = 'pot' | 'section' | 'row' | 'bag' | 'jar';

const OF_KIND: Partial<Record<string, UnitNoun>> = {
  pan_sections: 'section',
  box_rows: 'row',
  bags: 'bag',
  jars: 'jar',
};

/** What the units of a plan are called, by their containers; pots where these differ. */
export function unitNoun(containers: readonly { readonly kind: string }[]): UnitNoun {
  const [first, ...others] = new Set(containers.map(({ kind }) => OF_KIND[kind] ?? 'pot'));
  return first !== undefined && others.length === 0 ? first : 'pot';
}

/** So many units: `3 sections`, `1 pot`. */
export function unitsText(noun: UnitNoun, count: number): string {
  return say('unitsOf', { noun, count });
}
