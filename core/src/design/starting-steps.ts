import { say } from '@bright-sprout/words/design';
import type { ContainerKind } from './container.ts';
import type { Conditions, InvestigationKind, ProtocolStep, SetIn, StartForm } from './plan.ts';
import { isYoungPlant } from './start-form.ts';

type Draft = readonly [when: ProtocolStep['when'], text: string, minutes?: number];

/** Putting the seeds in, which some kinds do in a way of their own. */
const SEEDS_IN: Draft = ['sowing', say('putTheSeedsInAtTheAgreed')];

const FILL: Draft = ['sowing', say('fillEveryPotToAFingerBelow')];
const GIVE: Draft = ['sowing', say('giveEachPotWhatItsTreatmentNeeds')];
const WATER: Draft = ['sowing', say('waterEachPotWithTheSameMeasured')];

const NUMBER: Draft = ['before', say('writeNumberTreatmentAndDateOnEvery')];
const PLACE: Draft = ['sowing', say('setEveryPotInThePlaceThat')];

const SOIL: readonly Draft[] = [
  NUMBER,
  ['before', say('mixOnePartOfWaterIntoFour'), 10],
  FILL,
  GIVE,
  SEEDS_IN,
  WATER,
  PLACE,
  ['sowing', say('washHands')],
  ['after', say('checkEveryClassDayWaterWhenThe')],
];

/** Setting in what has begun to grow, in place of sowing. */
const SET_IN: Record<Exclude<StartForm, 'seed'>, Draft> = {
  seedlings: ['sowing', say('liftEachSeedlingByALeaf')],
  paper_pots: ['sowing', say('setEachPaperPotInWhole')],
  bought: ['sowing', say('tipEachPlantOutAndSetItIn')],
  divided: ['sowing', say('setEachPieceInAsDeepAsItWas')],
  cuttings: ['sowing', say('pushEachCuttingInToItsMark')],
};

/** Setting in a plant deeper than it stood. */
const BURIED: Partial<Record<SetIn, Draft>> = {
  to_first_leaves: ['sowing', say('setEachPlantInToItsFirstLeaves')],
  two_thirds: ['sowing', say('setEachPlantInTwoThirdsDeep')],
};

const BEFORE_SETTING_IN: Partial<Record<StartForm, Draft>> = {
  divided: ['before', say('anAdultDividesThePlants')],
  cuttings: ['before', say('anAdultCutsTheCuttings')],
};

/** What is begun days before sowing. */
function preparing(
  { coldDays = 0, soakHours = 0, reactionDays = 0 }: Preparation,
  isMixedBefore: boolean,
): Draft[] {
  return [
    ...(coldDays > 0 ? [['before', say('putTheSeedsIntoTheCold', { coldDays })] as const] : []),
    ...(isMixedBefore ? [['before', say('mixInWhatItsTreatmentNeeds', { reactionDays })] as const] : []),
    ...(soakHours > 0 ? [['before', say('soakTheSeedsFor', { soakHours })] as const] : []),
  ];
}

const BAGS: readonly Draft[] = [
  ['before', say('writeNumberTreatmentAndDateOnEvery2')],
  ['sowing', say('foldTheLiningWetItWithThe'), 3],
  ['sowing', say('layTheSeedsInARowWhere')],
  ['sowing', say('pressOutTheAirCloseTheBag')],
  ['sowing', say('washHands')],
  ['after', say('countTheSeedsWithARootOn')],
  ['after', say('aBagThatGoesMouldyStaysClosed')],
];

const JARS: readonly Draft[] = [
  ['before', say('writeNumberTreatmentAndDateOnEveryJar')],
  ['sowing', say('lineTheJarAndFillIt'), 3],
  ['sowing', say('wetTheLiningWithTheSame')],
  ['sowing', say('pushTheSeedsBetweenGlassAndLining')],
  ['sowing', say('setEveryJarInThePlaceThat')],
  ['sowing', say('washHands')],
  ['after', say('countTheSeedsWithARootInTheJar')],
  ['after', say('keepTheLiningDampNotWet')],
];

const DISHES: readonly Draft[] = [
  ['before', say('writeNumberTreatmentAndDateOnEveryDish')],
  ['sowing', say('layTheLiningAndWetIt'), 3],
  ['sowing', say('spreadTheSeedsOnTheLining')],
  ['sowing', say('setEveryPotInThePlaceThat')],
  ['sowing', say('washHands')],
  ['after', say('countTheSeedsWithARootInTheJar')],
  ['after', say('keepTheLiningDampNotWet')],
];

/** What a kind does beside the usual: before sowing, in place of putting seeds in, and after. */
interface OwnSteps {
  readonly before?: readonly Draft[];
  readonly seedsIn?: readonly Draft[];
  readonly after?: readonly Draft[];
}

const OWN: Partial<Record<InvestigationKind, OwnSteps>> = {
  ages: { seedsIn: [['sowing', say('onEachSowingDaySowOnlyThe')], SEEDS_IN] },
  packet_test: { before: [['before', say('countTheSeedsOutTheSameNumber')]] },
  sorting: {
    before: [
      ['before', say('dropTheSeedsIntoAGlassOf'), 15],
      ['before', say('liftOutWhatFloatsThenPourOff')],
    ],
  },
  sections: {
    seedsIn: [['sowing', say('sowEachSectionWithItsOwnCrop')]],
    after: [['after', say('takeAPhotoStraightDownFromThe')]],
  },
  pieces: {
    before: [['before', say('anAdultCutsThePiecesEachWith')]],
    seedsIn: [['sowing', say('layEachPieceWithItsBudsUp')]],
  },
  challenge: { after: [['after', say('holdTheMarkBesideThePotEvery')]] },
};

/** Days and hours that seeds or their mix wait before sowing. */
type Preparation = Partial<Pick<Conditions, 'coldDays' | 'soakHours' | 'reactionDays'>>;

/** What differs between treatments in how pots are filled, given something and watered. */
export interface StepDifferences {
  /** True where a treatment has something to be given or set on sowing day. */
  readonly isGiven: boolean;
  /** True where doses are mixed into the soil days before. */
  readonly isMixedBefore: boolean;
  readonly hasOwnMix: boolean;
  readonly hasOwnWater: boolean;
}

/** What a kind begins with, before anybody said what differs. */
const ANYTHING: StepDifferences = {
  ...{ isGiven: true, isMixedBefore: false, hasOwnMix: false, hasOwnWater: false },
};

/** Steps as they are done where treatments differ so. */
function differing(
  draft: Draft,
  { isGiven, isMixedBefore, hasOwnMix, hasOwnWater }: StepDifferences,
): Draft[] {
  if (draft === FILL && (hasOwnMix || isMixedBefore)) return [['sowing', say('fillEveryPotWithItsOwnMix')]];
  if (draft === GIVE && !isGiven) return [];
  if (draft === WATER && hasOwnWater) return [['sowing', say('waterEachPotAsItsTreatmentSays')]];
  return [draft];
}

/** The same in one pan or crate that holds all units: what is done to a pot is done to a section or a row. */
const TOGETHER: Partial<Record<ContainerKind, ReadonlyMap<Draft, Draft>>> = {
  pan_sections: new Map<Draft, Draft>([
    [NUMBER, ['before', say('writeTheCropOnASectionMarker')]],
    [FILL, ['sowing', say('fillThePanAndMarkOffSections'), 5]],
    [GIVE, ['sowing', say('giveEachSectionWhatItsTreatmentNeeds')]],
    [WATER, ['sowing', say('waterEachSectionTheSame')]],
    [PLACE, ['sowing', say('setThePanInItsPlace')]],
  ]),
  box_rows: new Map<Draft, Draft>([
    [NUMBER, ['before', say('writeTheCropOnTwoRowMarkers')]],
    [FILL, ['sowing', say('fillTheCrateAndDrawGrooves'), 5]],
    [GIVE, ['sowing', say('giveEachRowWhatItsTreatmentNeeds')]],
    [WATER, ['sowing', say('waterEachRowTheSame')]],
    [PLACE, ['sowing', say('setTheCrateInItsPlace')]],
  ]),
};

const WITHOUT_SOIL: Partial<Record<ContainerKind, readonly Draft[]>> = { bags: BAGS, jars: JARS };

/**
 * The protocol that a kind starts with, in the order in which hands do it; ids are counted, so that the same kind gives
 * the same steps.
 */
export function startingSteps(
  kind: InvestigationKind,
  conditions: Pick<Conditions, 'hasSoil' | 'startsAs' | 'setIn'> & Preparation,
  container: ContainerKind,
  differences: StepDifferences = ANYTHING,
): ProtocolStep[] {
  const { hasSoil, startsAs = 'seed' } = conditions;
  const { before: own = [], seedsIn: sown = [SEEDS_IN], after = [] } = OWN[kind] ?? {};
  const first = BEFORE_SETTING_IN[startsAs];
  const before = first ? [first, ...own] : own;
  const buried = isYoungPlant(conditions) ? BURIED[conditions.setIn ?? 'as_it_stood'] : undefined;
  const seedsIn = startsAs === 'seed' ? sown : [buried ?? SET_IN[startsAs]];
  // A closed bag holds a damp lining, whatever else is filled with soil.
  const common = hasSoil && container !== 'bags' ? SOIL : (WITHOUT_SOIL[container] ?? DISHES);
  const together = TOGETHER[container];
  const usual = common.flatMap((draft) =>
    draft === SEEDS_IN ? seedsIn : differing(draft, differences).map((one) => together?.get(one) ?? one),
  );
  const inOrder = (['before', 'sowing', 'after'] as const).flatMap((when) =>
    [...before, ...usual, ...preparing(conditions, differences.isMixedBefore), ...after].filter(
      ([time]) => time === when,
    ),
  );
  return inOrder.map(([when, text, minutes], index) => ({
    id: `s${index + 1}`,
    text,
    when,
    minutes: minutes ?? null,
  }));
}
