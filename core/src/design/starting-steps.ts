import type { InvestigationKind, ProtocolStep } from './plan.ts';

type Draft = readonly [when: ProtocolStep['when'], text: string, minutes?: number];

const SOIL: readonly Draft[] = [
  ['before', 'Write number, treatment and date on every label, in pencil.'],
  ['before', 'Mix one part of water into four parts of dry mix, and let it soak.', 10],
  ['sowing', 'Fill every pot to a finger below its rim.'],
  ['sowing', 'Give each pot what its treatment needs, by its label.'],
  ['sowing', 'Put the seeds in at the agreed depth and cover them.'],
  ['sowing', 'Water each pot with the same measured amount.'],
  ['sowing', 'Set every pot in the place that the sill shows.'],
  ['sowing', 'Wash hands.'],
  ['after', 'Check every class day; water when the top feels dry.'],
];

const BAGS: readonly Draft[] = [
  ['before', 'Write number, treatment and date on every bag.'],
  ['sowing', 'Fold the lining, wet it with the measured water and let it drip.', 3],
  ['sowing', 'Lay the seeds in a row where they can be seen, none touching.'],
  ['sowing', 'Press out the air, close the bag and tape it to the window as the sill shows.'],
  ['sowing', 'Wash hands.'],
  ['after', 'Count the seeds with a root on every class day, without opening the bag.'],
  ['after', 'A bag that goes mouldy stays closed and is thrown away closed.'],
];

const OWN: Partial<Record<InvestigationKind, readonly Draft[]>> = {
  ages: [['sowing', 'On each sowing day sow only the pots of that age.']],
  packet_test: [['before', 'Count the seeds out, the same number for every cell.']],
  sorting: [
    ['before', 'Drop the seeds into a glass of water and wait.', 15],
    ['before', 'Lift out what floats, then pour off what sank; keep both apart.'],
  ],
  sections: [
    ['sowing', 'Sow each section with its own crop, evenly, and press it flat.'],
    ['after', 'Take a photo straight down from the marked height at the same hour.'],
  ],
  pieces: [
    ['before', 'An adult cuts the pieces, each with its buds; let the cuts dry for a day.'],
    ['sowing', 'Lay each piece with its buds up.'],
  ],
  challenge: [['after', 'Hold the mark beside the pot every class day: who has passed it?']],
};

/** The protocol that a kind starts with; ids are counted, so that the same kind gives the same steps. */
export function startingSteps(kind: InvestigationKind, hasSoil: boolean): ProtocolStep[] {
  const own = OWN[kind] ?? [];
  const common = hasSoil ? SOIL : BAGS;
  const inOrder = (['before', 'sowing', 'after'] as const).flatMap((when) =>
    [...own, ...common].filter(([time]) => time === when),
  );
  return inOrder.map(([when, text, minutes], index) => ({
    id: `s${index + 1}`,
    text,
    when,
    minutes: minutes ?? null,
  }));
}
