import type { Certificate } from './certificates.ts';

/** Who certificates are made out to. */
export type CertificateFor = 'pots' | 'teams' | 'students';

/** One certificate on paper: for what, whose, and what is said of each pot. */
export interface MadeOut {
  readonly key: string;
  readonly kind: Certificate['kind'];
  /** Empty where a line is left for it. */
  readonly name: string;
  readonly pots: readonly Certificate[];
}

/** A child of a class, and the name of its team. */
export interface Child {
  readonly id: string;
  readonly displayName: string;
  readonly team: string;
}

/**
 * Makes certificates out: one for each pot, for each team with all of its pots, or for each child with the pots of its
 * team. Without names teams and children get a line to write theirs on.
 */
export function madeOut(
  found: readonly Certificate[],
  to: CertificateFor,
  children: readonly Child[],
  hasNames: boolean,
): MadeOut[] {
  const kinds = [...new Set(found.map(({ kind }) => kind))];
  const named = (name: string): string => (hasNames ? name : '');
  if (to === 'pots') {
    return found.map((one) => ({
      ...{ key: `${one.kind} ${one.id}`, kind: one.kind, name: named(one.team), pots: [one] },
    }));
  }
  const owners: readonly Child[] =
    to === 'teams'
      ? [...new Set(found.map(({ team }) => team))].map((team) => ({ id: team, displayName: team, team }))
      : children;
  return kinds.flatMap((kind) =>
    owners.flatMap(({ id, displayName, team }) => {
      const pots = found.filter((one) => one.kind === kind && one.team === team);
      return pots.length === 0 ? [] : [{ key: `${kind} ${id}`, kind, name: named(displayName), pots }];
    }),
  );
}
