export default {
  flipBook: 'Flip-book cards',
  noFlipBookYet:
    'No flip-book yet: it needs two photos of a container from above with its corners marked, under Record, Pictures.',
  howToMakeTheBook:
    'Cut along the lines, stack the cards with 1 on top, staple the strips at the left, and let them run from your thumb.',
  cardNumber: '{number} of {of}',
  dayOfTheCard: 'Day {age}, {day}',
  pleaseLookAfterOurPlants: 'Please look after our plants',
  thePlanHasNothingToDoOn: 'The plan has nothing to do on days without class.',
  doneBy: '<b>{one}</b>: {due} ☐ done by ____________',
  waterMlForEachPotSlowlyOn:
    'Water: <b>{waterMl} mL for each pot</b>, slowly, on the soil. If a label says otherwise, the label is right. If the soil is soggy, give none and write it down.',
  leaveEveryPotInItsPlaceWhere:
    'Leave every pot in its place: where it stands is part of the experiment. Do not pull anything out, and do not taste anything. Wash your hands afterwards.',
  whatINoticed: 'What I noticed: ______________________________________________',
  sown: 'sown ____________',
  opensPot: 'Opens pot {number}',
  kitForEverybody: 'Kit for everybody',
  kitOf: 'Kit of {team}',
  theCrop: 'the crop',
  potsLabelsSeedsOf:
    '{unitsCount, plural, one {# pot} other {# pots}}, {unitsCount, plural, one {# label} other {# labels}}, {seeds, plural, one {# seed} other {# seeds}} of {cropName}',
  pot: 'Pot',
  treatment: 'Treatment',
  seeds: 'Seeds',
  done: 'Done',
  minutes: ' ({minutes} min)',
  nobodyTastesSeedsOrSoilWashHands:
    'Nobody tastes seeds or soil. Wash hands at the end. School rules come first.',
  opensTheClass: 'Opens the class',
  classCode: 'Class code <b>{code}</b>',
  container: 'Container {index}',
  leftEnd: 'left end',
  rightEnd: 'right end',
  row: '{name}, row {row}',
  unitIn: 'in',
  writeNForNotUpYetD:
    '; write <b>n</b> for not up yet, <b>d</b> for dead, <b>x</b> for not read. Zero of the ruler at the soil. Names: ______________________',
  last: 'Last',
  noChangeAtTheFirstReading: 'no change at the first reading',
  labels: 'Labels',
  kitCards: 'Kit cards',
  rowMarkers: 'Row markers',
  recordingSheet: 'Recording sheet',
  helpersCard: 'Helper’s card',
  whatToPrint: 'What to print',
  paper: 'Paper',
  usLetter: 'US Letter',
  print: 'Print',
  giveTheExperimentToAClassIn:
    'Give the experiment to a class in Plan, and each label gets a QR code that opens its pot.',
  change: 'change',
};
