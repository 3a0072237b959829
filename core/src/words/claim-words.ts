import { say } from '@bright-sprout/words/statements';
/** What a claim may say too much of. */
export const CLAIM_DOUBTS = ['proof', 'no_effect', 'always', 'best', 'cause'] as const;
export type ClaimDoubt = (typeof CLAIM_DOUBTS)[number];

const PATTERNS: Record<ClaimDoubt, RegExp> = {
  proof: /\b(prove[sdn]?|proving|proof|for certain|without doubt|definitely|100 ?%)\b/iu,
  no_effect:
    /\b(no effect|no difference|does(n['’]t| not) (matter|work|change|affect)|did(n['’]t| not) (matter|change|affect)|makes? no difference|had no (effect|influence))\b/iu,
  always: /\b(always|never|all plants|every plant|everywhere|any plant)\b/iu,
  best: /\b(the best|the worst|perfect)\b/iu,
  cause: /\b(because|caused? by|the reason is)\b/iu,
};

const WORDS: Record<ClaimDoubt, string> = {
  proof: say('oneExperimentSupportsAnIdeaItDoes'),
  no_effect: say('notSeeingADifferenceIsNotThe'),
  always: say('thesePotsWereOneClassOnePlace'),
  best: say('sayWhatItWasBetterAtAnd'),
  cause: say('thisIsAReasonNotSomethingThat'),
};

/** Words of a claim that say more than an experiment can; each kind once. A claim is never refused for them. */
export function claimDoubts(claim: string): ClaimDoubt[] {
  return CLAIM_DOUBTS.filter((doubt) => PATTERNS[doubt].test(claim));
}

/** A gentle note on a doubt. */
export function claimDoubtWords(doubt: ClaimDoubt): string {
  return WORDS[doubt];
}
