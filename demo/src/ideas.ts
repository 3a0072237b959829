/** How many of the class guessed each choice of a plan, more of the early ones: a show of hands. */
export function demoGuesses(choices: readonly string[]): string[] {
  const hands = [3, 2, 7, 1];
  return choices.flatMap((choice, index) =>
    Array.from({ length: hands[index % hands.length] ?? 1 }, () => choice),
  );
}

/** What two people of the made-up class wrote of the cucumbers. */
export const DEMO_CONCLUSIONS = [
  {
    observer: 'Daria',
    claim: 'Our cucumbers under paper hoods grew taller than those at the open window.',
    evidence:
      'On the last day the pots under the hood were taller on average, and only few pots were the other way round.',
    reasoning: 'Plants that get little light stretch towards it. The hood took light away.',
  },
  {
    observer: 'Kofi',
    claim: 'This proves that plants like the dark.',
    evidence: 'The hood pots were taller.',
    reasoning: 'Taller is not the same as healthier: the stems under the hood were thin.',
  },
] as const;
