import { say } from '@bright-sprout/words/design';
import type { InvestigationKind, ProtocolStep } from './plan.ts';

type Draft = readonly [when: ProtocolStep['when'], text: string, minutes?: number];

const SOIL: readonly Draft[] = [
  ['before', say('writeNumberTreatmentAndDateOnEvery')],
  ['before', say('mixOnePartOfWaterIntoFour'), 10],
  ['sowing', say('fillEveryPotToAFingerBelow')],
  ['sowing', say('giveEachPotWhatItsTreatmentNeeds')],
  ['sowing', say('putTheSeedsInAtTheAgreed')],
  ['sowing', say('waterEachPotWithTheSameMeasured')],
  ['sowing', say('setEveryPotInThePlaceThat')],
  ['sowing', say('washHands')],
  ['after', say('checkEveryClassDayWaterWhenThe')],
];

const BAGS: readonly Draft[] = [
  ['before', say('writeNumberTreatmentAndDateOnEvery2')],
  ['sowing', say('foldTheLiningWetItWithThe'), 3],
  ['sowing', say('layTheSeedsInARowWhere')],
  ['sowing', say('pressOutTheAirCloseTheBag')],
  ['sowing', say('washHands')],
  ['after', say('countTheSeedsWithARootOn')],
  ['after', say('aBagThatGoesMouldyStaysClosed')],
];

const OWN: Partial<Record<InvestigationKind, readonly Draft[]>> = {
  ages: [['sowing', say('onEachSowingDaySowOnlyThe')]],
  packet_test: [['before', say('countTheSeedsOutTheSameNumber')]],
  sorting: [
    ['before', say('dropTheSeedsIntoAGlassOf'), 15],
    ['before', say('liftOutWhatFloatsThenPourOff')],
  ],
  sections: [
    ['sowing', say('sowEachSectionWithItsOwnCrop')],
    ['after', say('takeAPhotoStraightDownFromThe')],
  ],
  pieces: [
    ['before', say('anAdultCutsThePiecesEachWith')],
    ['sowing', say('layEachPieceWithItsBudsUp')],
  ],
  challenge: [['after', say('holdTheMarkBesideThePotEvery')]],
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
