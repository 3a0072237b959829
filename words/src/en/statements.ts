export default {
  fewerThan1Of100: 'fewer than 1 of 100',
  nearlyAllOf100: 'nearly all of 100',
  aboutOf100: 'about {p} of 100',
  nothingShuffledYet: 'Nothing shuffled yet.',
  ofShufflesGaveAGapAtLeast:
    '{asLarge} of {count, plural, one {# shuffle} other {# shuffles}} gave a gap at least as big',
  tooFewShufflesYetToSayHow: '{seen}: too few shuffles yet to say how often that is.',
  wouldHardlyEverComeFromLuckAlone: '{capital} would hardly ever come from luck alone.',
  sometimesComesFromLuckAlone: '{capital} sometimes comes from luck alone.',
  oftenComesFromLuckAlone: '{capital} often comes from luck alone.',
  ifTheTreatmentDidNothingLuckAlone: 'With nothing changed, luck alone would make {what} in {times} tries.',
  ifTheTreatmentDidNothingPlantTo:
    'If the treatment did nothing, plant-to-plant luck would give {what} or bigger in {times} such experiments.',
  ifTheTreatmentDidNothingOrBigger:
    '{pText} ({method}): if the treatment did nothing, {what} or bigger would turn up in {times} such experiments.',
  noPotHasAValue: 'no pot has a value',
  oneValueHasNoSpread: 'one value has no spread',
  onlyOneTreatmentHasValues: 'only one treatment has values',
  atLeastTwoPotsWithAValue: 'at least two pots with a value are needed in each treatment',
  thePotsOfATreatmentAllRead:
    'the pots of a treatment all read the same, so there is no plant-to-plant spread to judge by',
  firstReadingSoThereIsNoChange: 'first reading, so there is no change yet',
  theReferenceIs0SoThereIs: 'the reference is 0, so there is no percentage',
  itWasTheSameInEveryPot: 'it was the same in every pot',
  everythingIsInOnePlaceSoThere: 'everything is in one place, so there is nothing to line up with',
  noSeedOfThisPacketIsExpected: 'no seed of this packet is expected to come up',
  noSensibleNumberOfSeedsIsEnough: 'no sensible number of seeds is enough',
  itNeedsTheLengthOnOneDay:
    'it needs the length, on one day, of plants that are up, and seeds that are counted',
  everyCropHasItsOwnNumberOfSeeds: 'every crop has its own number of seeds',
  potsOfSeveralKindsNeedSparesOf: 'pots of several kinds need spares of their own',
  reasonOfPots: '{reason} ({n, plural, one {pot} other {pots}} {pots})',
  reasonsNoted:
    '{level, select, a5 {Why some pots stayed empty, as we wrote it down: {parts}.} a8 {Why pots did not come up, as the class wrote it down: {parts}.} other {Reasons noted for pots that did not come up: {parts}. They were judged by eye, not tested.}}',
  nobodyKnowsSoLate: 'there are no figures for so long without soil',
  itBeganToGrowElsewhere: 'the forecast begins with seed, and these plants began elsewhere',
  thisCropHasNoFiguresForIt: 'this crop has no figures for it',
  thisCropDoesNotComeUpAt: 'this crop does not come up at this temperature',
  thePlantsDifferInAgeOnPurpose:
    'the plants differ in age on purpose, so there is nothing to find out by luck',
  thisPlanReadsSomethingOtherThanA: 'this plan reads something other than a height',
  someCombinationsWereNotGrownOrHave:
    'some combinations were not grown or have no value, so this cannot be told apart',
  thereAreAsManyCombinationsAsPots: 'there are as many combinations as pots, so nothing is left to judge by',
  thereAreTooManyPossibleTablesTo: 'there are too many possible tables to go through',
  thereAreTooFewPoints: 'there are too few points',
  theCurveHasNotBegunToBend: 'the curve has not begun to bend, so its end cannot be known yet',
  theValuesDoNotGrow: 'the values do not grow',
  noSuchCurveComesNearTheValues: 'no such curve comes near the values',
  valuesAbove0AreNeeded: 'values above 0 are needed',
  nothingHasComeUp: 'nothing has come up',
  nobodyWroteDownHowManySeedsWere: 'nobody wrote down how many seeds were sown',
  itNeedsACheckOnEveryDay: 'it needs a check on every day from day 1 on',
  thePacketStatesNoRate: 'the packet states no rate',
  fewerThanHalfHaveComeUp: 'fewer than half have come up',
  allPotsHoldOneCrop: 'all pots hold one crop',
  noTreatmentWasReadByTwoTeams: 'no treatment was read by two teams',
  onlyOneThingWasChanged: 'only one thing was changed',
  thePotsDoNotStandInBlocks: 'the pots do not stand in blocks',
  thereAreTooManyPairsToShuffle: 'there are too many pairs to shuffle them all',
  noPotWasReadByTwoPeople: 'no pot was read by two people on one day',
  onlyOneClassHasValues: 'only one class has values',
  orderedStepsHaveNoDistanceBetween: 'ordered steps have no distance between them',
  severalSeedsShareAPotAndSeeds: 'several seeds share a pot, and seeds of one pot are not independent',
  theCornersDoNotGoRound: 'the four corners do not go round the container: mark them in order, from top left',
  thePictureIsTakenTooFarFromTheSide:
    'the picture is taken too far from the side: one edge looks more than 2½ times as long as the one across from it; hold the camera straight above',
  thePictureIsTooDark: 'the picture is too dark to tell colours: take it by a window or with the lights on',
  thePictureIsTooBright:
    'a fifth of the picture or more is burnt out: turn it out of the sun, or take it with less light',
  theLightIsColoured:
    'what is not plant looks coloured: the light is not white, or leaves hide all that is grey; mark a grey patch, or measure by hand',
  greenCannotBeToldFromTheRest:
    'green and the rest cannot be told apart by themselves: nothing is up, or leaves cover all; use the series, or set the threshold by hand',
  theTwoMarksAreTooClose: 'the two marks of the ruler are too close together: mark them 5 cm or more apart',
  welchsTTest: 'Welch’s t test',
  studentsTTest: 'Student’s t test',
  mannWhitneyExact: 'Mann–Whitney, exact',
  mannWhitneyWithTies: 'Mann–Whitney, with ties',
  permutationTestEveryArrangement: 'Permutation test, every arrangement',
  permutationTestShufflesDrawnByChance: 'Permutation test, shuffles drawn by chance',
  tTestByTheModelOfThe: 't test by the model of the design',
  fTestByTheModelOfThe: 'F test by the model of the design',
  ranksShuffledBetweenTheGroups: 'Ranks, shuffled between the groups',
  dunnettAgainstTheControl: 'Dunnett, against the control',
  dunnAllowingForAllPairsHolm: 'Dunn, allowing for all pairs (Holm)',
  welchAllowingForAllPairs: 'Welch, allowing for all pairs (Tamhane)',
  welchAgainstTheControlHolm: 'Welch against the control (Holm)',
  welchsAnalysisOfVariance: 'Welch’s analysis of variance',
  oneWayAnalysisOfVariance: 'One-way analysis of variance',
  equalSpreadBrownForsythe: 'Equal spread, Brown–Forsythe',
  bellShapeShapiroWilk: 'Bell shape, Shapiro–Wilk',
  fishersExactTest: 'Fisher’s exact test',
  fishersTestDrawn: 'Fisher’s test, tables drawn by chance',
  exactBinomialTest: 'Exact binomial test',
  shareOfSeedsPotsAsUnits: 'Share of seeds, pots as units',
  logRankTest: 'Log-rank test',
  analysisOfVariance: 'Analysis of variance',
  pearsonsCorrelation: 'Pearson’s correlation',
  spearmansRankCorrelation: 'Spearman’s rank correlation',
  slopeOfTheLine: 'Slope of the line',
  noTest: 'no test: {undefinedWords}',
  df: 'df = {shortDf}, ',
  by: 'by {comparison}',
  hadDied: 'had died',
  hadComeUp: 'had come up',
  theOnlyPot: 'The only pot {had} {by}.',
  allPots: '{all, plural, =2 {Both pots} other {All # pots}} {had} {by}.',
  noPotHadDied: 'No pot had died {by}.',
  noneOfPotsHadComeUp: 'None of {all, plural, one {# pot} other {# pots}} had come up {by}.',
  of: '{countOf} of {ofFate}',
  potsWith: '{share} pots with {first} {had} {by}',
  with: '{share} with {name}',
  potsAndOthers: '{pots}, compared with {rest}.',
  aDifferenceThisBig: 'a difference this big',
  thatCouldJustBeLuck: '{fateSentence}{ifDefined, select, yes { That could just be luck.} other {}}',
  upButNotMeasured: 'up but not measured',
  lastReadTooLongAgo: 'last read too long ago',
  readTooFewTimes: 'read too few times',
  potsNotUpYetCountedAs0: '{zeros, plural, one {# pot} other {# pots}} not up yet counted as 0.',
  whenThePotsWereSownIsNot: 'When the pots were sown is not written down, so their ages are not known.',
  thePotsWereNotAllSownOn: 'The pots were not all sown on the same day, so their ages differ.',
  onlyPotsThatLivedHaveAValue:
    'Only plants that lived were measured. If the others had lived, the averages could be different.',
  oneClassOnePlaceOneTimeAnother:
    'This was one class, in one place, at one time. Another class could get a different result.',
  pots: '{numbersCount, plural, one {pot} other {pots}} {numbers}',
  leftOut: 'Left out, {leftOutWords}: {parts}.',
  theAverageOfRestsOnOfPots:
    'The average of {nameOf} rests on {pointsCount} of {pointsCount2, plural, one {# pot} other {# pots}}: read the others too.',
  of2: '{pointsCount} of {nameOf}',
  veryFewPotsCountWithMoreOf: 'Very few pots count ({names}): with more of them the answer would be surer.',
  livingPlants: 'Living plants',
  livingPlants2: 'living plants',
  plantsWith: 'Plants',
  plantsWithin: 'plants',
  livingPots: 'Living pots',
  livingPots2: 'living pots',
  pots2: 'Pots',
  potsWithin: 'pots',
  whenAndOver: '{ifWithDay, select, yes { {whenText}} other {}}{over}',
  withAndWithHadTheSameAverage: '{pot} with {second} and {pot2} with {first} had the same average{rest}.',
  withThanWith: '{pot} with {second} {gap} than {pot2} with {first}{rest}',
  butThePotsOfEachTreatmentAll:
    '{about}, but the pots of each treatment all read the same, so luck cannot be judged.',
  butThereAreTooFewPotsTo: '{about}, but there are too few pots to tell more.',
  thatCouldJustBeLuck2: '{about}. That could just be luck.',
  butPotsTreatedTheSameDifferToo: '{about}. But pots treated the same differ too, so we cannot be sure yet.',
  butThatIsWithinWhatPlantTo: '{about}. Luck alone could make a gap like that, so we cannot be sure yet.',
  nAndPots: 'n = {count} and n = {count2}',
  thesePotsDoNotTellTheTwo: ' These pots do not tell the two apart.',
  signedDifference: '{ifValue, select, yes {−} other {}}{differenceSize}',
  the95IntervalOfTheDifferenceIs: 'The 95% interval of the difference is {text} to {text2}. ',
  thereIsNoDifferenceToBeSure: 'There is no difference to be sure about yet.',
  and: '{name} and {name2}: ',
  luckCannotBeJudgedYet: 'Luck cannot be judged yet: {undefinedWords}.',
  allowingForAllQuestionsOfTheDesign: ', allowing for all questions of the design',
  aGapThisBig: 'a gap this big',
  allLevelsOfTakenTogether: ', averaged over {others}',
  oneDependsOnTheOther:
    '{level, select, a14 {What {asked} does depends on {other}: {parts} {when}.} other {It depends on {other}: {parts} {when}.}}',
  factorsDependOnEachOther:
    '{level, select, a5 {It depends: what {names} did was different in each combination {when}.} other {What one of {names} does depends on the others {when}, so look at each combination.}}',
  atLevel:
    '{isClear, select, yes {with {at}, {plants} with {second} {gap} than {isFirst, select, yes {{plants} with {first}} other {with {first}}}{isJudged, select, yes { ({judged})} other {}}} other {with {at} we saw no clear difference{isJudged, select, yes { ({size}; {judged})} other {{hasSize, select, yes { ({size})} other {}}}}}}',
  amountTrend:
    '{level, select, a5 {From {least} to {most}, {plants} {kind, select, be {were mostly {contrast}} count {had mostly {contrast} {name}} other {had mostly a {contrast} {name}}} {when}: {averages}.} other {From {least} to {most}, {plants} tended to {kind, select, be {be {contrast}} count {have {contrast} {name}} other {have a {contrast} {name}}} {when}: on average {averages}.}}',
  amountNotSeen:
    '{level, select, a5 {From {least} to {most}, we did not see that it matters {when}: {averages}.} a14 {From {least} to {most}, these pots do not show that {factor} matters {when}: on average {averages}.} other {From {least} to {most}, we could not see that {factor} matters {when}: on average {averages}.}}',
  averageWith: '{average} with {name}',
  bestInBetween:
    '{capital} with {best} {gap} than with {least}, and {size} {contrast}{isCount, select, yes { {name}} other {}} than with {most}, {when}.',
  aBestThisClear: 'two gaps this big',
  aTrendThisClear: 'a trend this strong',
  bothDifferencesByTheModel: 'both differences by the model of the design',
  linearContrastByTheModel: 'linear contrast by the model of the design',
  onePotMakesTheAverage:
    'Pot {number} stands apart: without it the average of {name} would be {without} instead of {average}.',
  seedsCameUp:
    '{up} of {sown, plural, one {# seed} other {# seeds}} had come up {when}{level, select, a5 {.} other {: {hundred} of 100.}}{packet, select, unlike { That is {way, select, fewer {fewer} other {more}} than the {rate} of 100 that the packet says.} same { That is what the packet says.} luck { The packet says {rate} of 100. Luck alone could make such a difference.} said { The packet says {rate} of 100.} other {}}',
  packetLuck:
    '{level, select, a5 {If the packet is right, luck alone {isRare, select, yes {would hardly ever} other {can easily}} be this far from it.} a14 {{hasInterval, select, yes {The 95% interval of the share is {low} to {high} of 100. } other {}}{p} ({method}): if the packet is right, seeds would come up this far from it or farther in {times} such tests.} other {If the packet is right, luck alone would be this far from it or farther in {times} such tests.}}',
  noValueAtLevel: 'with {at}, there are no plants to compare',
  notSeenToDepend:
    '{level, select, a5 { We did not see that this changes with {others}.} a14 { These pots do not show that this depends on {others} ({p}).} other { We could not see that this depends on {others}.}}',
  intervalOfDifference: '95% interval {low} to {high}',
  interactionByTheModelOfTheDesign:
    'interaction by the model of the design, allowing for all questions of it',
  aPatternThisUneven: 'a pattern this uneven',
  fromTo: ', from {roundedText} to {roundedText2}',
  aFairShareOf: 'a fair share of',
  anAverageFairShareOf: 'an average (fair share) of',
  aMeanOf: 'a mean of',
  potsWith2: '{nameOf}: {n, plural, one {# pot} other {# pots}} with {word} {average}{spread}.',
  noPotHasAValueYet: 'No pot has a value {when} yet.',
  allPotsWereTreatedTheSameThe:
    'All pots were treated the same: the average of {pointsCount, plural, one {# pot} other {# pots}} {when} is {average}.',
  onlyPotsWithHaveAValueSo:
    'Only pots with {nameOf} have a value {when}, so there is nothing to compare them with yet.',
  oneExperimentSupportsAnIdeaItDoes:
    'One experiment supports an idea, it does not prove it. Try “our results support” or “suggest”.',
  notSeeingADifferenceIsNotThe:
    'Not seeing a difference is not the same as there being none. Try “we could not see a difference with these pots”.',
  thesePotsWereOneClassOnePlace: 'These pots were one class, one place, one time. Try “in our experiment”.',
  sayWhatItWasBetterAtAnd: 'Say what it was better at, and by how much.',
  thisIsAReasonNotSomethingThat:
    'This is a reason, not something that was measured. It fits under “Why we think so”.',
  noTestOverAllTreatmentsEachPot: 'No test over all treatments: {undefinedWords}. Each pot counts once.',
  allAtOnce: 'All at once, {testNames}: {figuresText}.',
  potsAreComparedWithinTheirBlocks: 'Pots are compared within their blocks.',
  pairsWhichAllowForHowManyThere: 'Pairs: {methods}, which allow for how many there are.',
  theAnswerAboveTakesEachFactorOver:
    'The answer above takes each factor over the levels of the others, and allows for all questions of the design.',
  eachPotCountsOnce: 'Each pot counts once.',
  eachTreatmentKeepsItsOwnSpread: 'Each treatment keeps its own spread (Welch).',
  judgedByTheirOwnSpread:
    'Pots with {names} vary more than the others, so they are judged by their own spread (Satterthwaite).',
  oneSpreadForAllTreatments: 'One spread for all treatments.',
  spreadIsTakenToGrowWithThe: 'Spread is taken to grow with the average, as these pots do.',
  luckAloneWouldMakeDifferencesLike:
    '{said}: luck alone would make differences like these in {outOfHundred} tries.',
  about2: '{name}: about {average}.',
  onAverageOverPots: '{name}: {average} on average, over {n, plural, one {# pot} other {# pots}}',
  noGrowthCurveYet: '; no growth curve yet: {undefinedWords}',
  fastestAboutDayWith: '; fastest about day {middle}, with {computedText}',
  itsPotsLevellingOffNear: '{clause}, its pots levelling off near {roundedText}',
  meanOfFittedCurves95IntervalTo:
    '{levels} (mean of {n} fitted curves, 95% interval {computedText} to {computedText2})',
  nothingUpYet:
    '{name}: nothing up yet{hasSown, select, yes {, 0 of {sown} {what, select, seeds {seeds} other {pots}}} other {}}.',
  up: '{name}: {up}{hasSown, select, yes { of {sown}} other {}} {what, select, seeds {seeds} other {pots}} up{hasFirst, select, yes {, the first by day {first}} other {}}{half, select, reached {, half of the pots by day {median}} open {, fewer than half of the pots so far} other {}}.',
  howManyCameUpDiffersBetweenThe: 'How many came up differs between the treatments',
  howManyCameUpMayDiffer:
    'How many came up may differ between the treatments, which is something to look into',
  someTreatmentsMayHaveBeenEarlier:
    'Of those that came up, some treatments may have been earlier, which is something to look into',
  teamsMayReadDifferently:
    'Teams may read pots treated the same differently, which is something to look into',
  lostBeforeUp: '{name}: died before anybody saw anything up.',
  howManyCameUpCannotBeTold: 'How many came up cannot be told apart here',
  ofThoseThatCameUpSomeTreatments: 'Of those that came up, some treatments were earlier',
  ofThoseThatCameUpThesePots: 'Of those that came up, these pots do not tell apart which were earlier',
  potsNotUpByThisDayWhich:
    '{waiting, plural, one {# pot} other {# pots}} not up by this day, which is not the same as never.',
  lostBeforeAnybodySawAnythingUpPots:
    'Lost before anybody saw anything up: {lost, plural, one {# pot} other {# pots}}.',
  aPotFoundUpAtACheck: 'A pot found up at a check came up some time after the check before.',
  workTogetherWhatOneDoesDependsOn2:
    '{names} work together: what one does depends on the other, so look at the combinations',
  thesePotsDoNotShowThatWork: 'These pots do not show that {names} work differently together',
  withOnePotACombinationWhetherThe:
    'With one pot a combination, whether the factors work together cannot be told.',
  someCombinationsHaveNoValueSoThe:
    'Some combinations have no value, so the factors are compared over those that do.',
  thePotsAreNotSpreadLikeA:
    'The pots are not spread like a bell: look at the rank and shuffling tests as well.',
  someTreatmentsVaryMoreThanOthers:
    'Some treatments vary more than others: Welch’s tests allow for that, Student’s do not.',
  countsOfPotsAreSmallTrustFishers:
    'Counts of pots are small: trust Fisher’s exact test, not the chi-square.',
  teamsReadPotsTreatedTheSame:
    'Teams got different results for pots treated the same: compare how they hold the ruler',
  thesePotsDoNotShowThatTeams: 'These pots do not show that teams read differently',
  twoPeopleWhoReadOnePotDiffer:
    'Two people who read one pot differ by chance by about {error} each ({n, plural, one {# pot} other {# pots}}).',
  noPotWasReadByTwoPeople2:
    'No pot was read by two people on one day, so the reading error is not known from here.',
  picturesGaveWhatPeopleRead:
    '{n, plural, one {One pot was} other {# pots were}} read and also measured on a picture the same day: {level, select, young {they say the same} other {on average both gave the same}}.',
  picturesGaveMoreOrLess:
    '{n, plural, one {One pot was} other {# pots were}} read and also measured on a picture the same day: {level, select, young {the picture says {size} {way} than we read} other {on average the picture gave {size} {way} than people read}}.',
  potsTreatedTheSameDifferByAbout: 'Pots treated the same differ by about {computedText} (SD).',
  almostAllOfThatIsPlantsHardly: 'Almost all of that is plants, hardly any is reading.',
  aboutOf100PartsOfThatVariation:
    'About {share}% of that difference could come from measuring; the rest comes from the plants.',
  onlyOneClassRunsThisPlanSo: 'Only one class runs this plan so far. Its results stand alone.',
  and2: '{second} and {first}: {undefinedWords}.',
  n95IntervalTo: '95% interval {computedText} to {computedText2}',
  eachClassComparedWithinItselfGave:
    'Each class compared within itself, {second} gave {size} {way} than {first} on day {age}',
  butLuckCouldDoThatToo: '{said}, but luck could do that too.',
  theTreatmentsDidDifferentlyIn: 'The treatments did differently in different classes',
  thesePotsDoNotShowThatThe:
    'These pots do not show that the treatments did differently in different classes',
  everyPotIsComparedWithPotsOf:
    'Every pot is compared with pots of its own class; classes are never thrown together.',
  itsTallestPlant: 'its tallest plant',
  itsMarkedPlant: 'its marked plant',
  theMeanOfItsPlants: 'the mean of its plants',
  itsValue: 'its value',
  onThisDayTwoReadingsOfA:
    '{what} on this day; two readings of a pot count as their mean, and other days are not added, as they are the same pots again',
  atItsLastReadingUpToThis: '{what} at its last reading up to this day',
  itsGrowthADayFromItsFirst: 'its growth a day from its first value to its last up to this day',
  itsRelativeGrowthADayFromAll: 'its relative growth a day, from all its values up to this day',
  theAreaUnderItsCurveUpTo: 'the area under its curve up to this day',
  eachPotCountsOnce2: 'Each pot counts once: {reduced}.',
  less: 'less',
  more: 'more',
};
