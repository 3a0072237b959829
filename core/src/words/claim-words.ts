/** What a claim may say too much of. */
export const CLAIM_DOUBTS = ['proof', 'no-effect', 'always', 'best', 'cause'] as const;
export type ClaimDoubt = (typeof CLAIM_DOUBTS)[number];

const PATTERNS: Record<ClaimDoubt, RegExp> = {
  proof: /\b(prove[sdn]?|proving|proof|for certain|without doubt|definitely|100 ?%)\b/iu,
  'no-effect':
    /\b(no effect|no difference|does(n['’]t| not) (matter|work|change|affect)|did(n['’]t| not) (matter|change|affect)|makes? no difference|had no (effect|influence))\b/iu,
  always: /\b(always|never|all plants|every plant|everywhere|any plant)\b/iu,
  best: /\b(the best|the worst|perfect)\b/iu,
  cause: /\b(because|caused? by|the reason is)\b/iu,
};

const WORDS: Record<ClaimDoubt, string> = {
  proof: 'One experiment supports an idea, it does not prove it. Try “our results support” or “suggest”.',
  'no-effect':
    'Not seeing a difference is not the same as there being none. Try “we could not see a difference with these pots”.',
  always: 'These pots were one class, one place, one time. Try “in our experiment”.',
  best: 'Say what it was better at, and by how much.',
  cause: 'This is a reason, not something that was measured. It fits under “Why we think so”.',
};

/** Words of a claim that say more than an experiment can; each kind once. A claim is never refused for them. */
export function claimDoubts(claim: string): ClaimDoubt[] {
  return CLAIM_DOUBTS.filter((doubt) => PATTERNS[doubt].test(claim));
}

/** A gentle note on a doubt. */
export function claimDoubtWords(doubt: ClaimDoubt): string {
  return WORDS[doubt];
}
