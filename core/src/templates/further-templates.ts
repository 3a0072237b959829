import { dose, factor, type StartingTemplate } from './template.ts';

/** Activities that begin or stand in another way, or change something else, than the first of their kind. */
export const FURTHER_TEMPLATES: readonly StartingTemplate[] = [
  {
    id: 'kale-carton',
    kind: 'crossed',
    cropId: 'kale',
    question: 'What does kale need most: another mix, a feed or a shallow bed?',
    about: 'Three changes crossed in one egg carton of twelve cells. Each change is compared over all cells.',
    days: 24,
    changes: {
      factors: [
        factor('Mix', 'medium', [
          { name: 'Potting mix', isControl: true, medium: 'potting mix' },
          { name: 'Coir', medium: 'coir' },
          { name: 'Half sand', medium: 'half sand, half potting mix' },
        ]),
        factor('Feed', 'additive', [
          { name: 'No feed', isControl: true, ...dose('seaweed feed', 0, 'mL/L') },
          { name: 'Feed', ...dose('seaweed feed', 5, 'mL/L') },
        ]),
        factor('Depth', 'depth', [
          { name: '1 cm', isControl: true, depthMm: 10 },
          { name: '3 cm', depthMm: 30 },
        ]),
      ],
      replicates: 1,
      containers: [{ kind: 'egg_carton', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 50 }],
    },
  },
  {
    id: 'four-roots',
    kind: 'soil_free',
    cropId: 'chickpea',
    question: 'Whose root is longest after a week?',
    about: 'Four crops in bags on a window. Roots can be seen and measured every day.',
    days: 9,
    changes: {
      factors: [
        factor('Crop', 'crop', [
          { name: 'Chickpea', cropId: 'chickpea' },
          { name: 'Lentil', cropId: 'lentil' },
          { name: 'Sweet corn', cropId: 'sweet-corn' },
          { name: 'Cucumber', cropId: 'cucumber' },
        ]),
      ],
      replicates: 3,
      containers: [{ kind: 'bags', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 0 }],
      prediction: {
        prompt: 'Whose root will be longest after a week?',
        choices: ['Chickpea', 'Lentil', 'Sweet corn', 'Cucumber'],
      },
    },
  },
  {
    id: 'fed-cosmos',
    kind: 'one_factor',
    cropId: 'cosmos',
    question: 'Does a feed in the water make cosmos taller?',
    about: 'A feed in each litre of water, none, usual and double.',
    days: 35,
    changes: {
      factors: [
        factor('Feed', 'additive', [
          { name: 'None', isControl: true, ...dose('plant feed', 0, 'mL/L') },
          { name: 'As on the bottle', ...dose('plant feed', 5, 'mL/L') },
          { name: 'Double', ...dose('plant feed', 10, 'mL/L') },
        ]),
      ],
      seedsPerUnit: 3,
      containers: [{ kind: 'pots', name: '', rows: 3, columns: 5, brightSide: 'top', cellMl: 300 }],
    },
  },
  {
    id: 'sandy-carrots',
    kind: 'one_factor',
    cropId: 'carrot',
    question: 'Do carrots come up better in a sandy mix?',
    about: 'Two mixes side by side, one with half sand.',
    days: 30,
    changes: {
      factors: [
        factor('Mix', 'medium', [
          { name: 'Potting mix', isControl: true, medium: 'potting mix' },
          { name: 'Half sand', medium: 'half sand, half potting mix' },
        ]),
      ],
      replicates: 6,
      seedsPerUnit: 4,
      containers: [{ kind: 'pots', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 300 }],
    },
  },
  {
    id: 'lid-chia',
    kind: 'one_factor',
    cropId: 'chia',
    question: 'Is chia taller under a lid that stays on?',
    about: 'A clear lid on half of the cups. Warm and damp, or too damp?',
    days: 16,
    changes: {
      factors: [
        factor('Lid', 'cover', [
          { name: 'Open', isControl: true, isCovered: false },
          { name: 'Lid', isCovered: true },
        ]),
      ],
      replicates: 6,
      containers: [{ kind: 'cups', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'thirsty-barley',
    kind: 'one_factor',
    cropId: 'barley',
    question: 'How much water is too much for barley?',
    about: 'Three amounts of water, measured in a syringe.',
    days: 18,
    changes: {
      factors: [
        factor('Water', 'water', [
          { name: '20 mL', isControl: true, waterMl: 20 },
          { name: '10 mL', waterMl: 10 },
          { name: '40 mL', waterMl: 40 },
        ]),
      ],
      containers: [{ kind: 'cups', name: '', rows: 3, columns: 5, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'cupboard-lentils',
    kind: 'one_factor',
    cropId: 'lentil',
    question: 'What do lentils do in a dark cupboard?',
    about: 'One flat at the window, one in a cupboard. The place is part of the answer.',
    days: 18,
    changes: {
      factors: [
        factor('Place', 'light', [
          { name: 'Window', isControl: true, light: 'bright' },
          { name: 'Cupboard', light: 'dark' },
        ]),
      ],
      replicates: 6,
      containers: [
        { kind: 'flat', name: 'Window', rows: 2, columns: 3, brightSide: 'top', cellMl: 100 },
        { kind: 'flat', name: 'Cupboard', rows: 2, columns: 3, brightSide: 'none', cellMl: 100 },
      ],
    },
  },
  {
    id: 'chalk-clover',
    kind: 'one_factor',
    cropId: 'clover',
    question: 'Does clover like chalk in its soil?',
    about: 'Chalk is mixed in some days before sowing.',
    days: 28,
    changes: {
      factors: [
        factor('Chalk', 'additive', [
          { name: 'None', isControl: true, ...dose('powdered chalk', 0, 'g') },
          { name: 'Chalk', ...dose('powdered chalk', 3, 'g') },
        ]),
      ],
      conditions: { reactionDays: 3 },
    },
  },
  {
    id: 'jar-beans',
    kind: 'soil_free',
    cropId: 'broad-bean',
    question: 'Do broad beans in a jar mind a little salt?',
    about: 'Beans between towel and glass, with plain or salty water.',
    days: 14,
    changes: {
      factors: [
        factor('Water', 'additive', [
          { name: 'Plain', isControl: true, ...dose('table salt', 0, 'g/L') },
          { name: 'Salty', ...dose('table salt', 3, 'g/L') },
        ]),
      ],
      replicates: 6,
      seedsPerUnit: 3,
      plantsPerUnit: 3,
      containers: [{ kind: 'jars', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 400 }],
      prediction: {
        prompt: 'Which beans will have more roots?',
        choices: ['Those in plain water', 'Those in salty water', 'Both the same'],
      },
    },
  },
  {
    id: 'towel-lettuce',
    kind: 'packet_test',
    cropId: 'lettuce',
    question: 'How many of a hundred lettuce seeds come up?',
    about: 'Four damp towels with 25 seeds each, counted every day. No soil, and nothing is thinned.',
    days: 10,
    changes: {
      replicates: 4,
      seedsPerUnit: 25,
      plantsPerUnit: 25,
      containers: [{ kind: 'bags', name: '', rows: 1, columns: 4, brightSide: 'top', cellMl: 0 }],
    },
  },
  {
    id: 'bought-peppers',
    kind: 'one_factor',
    cropId: 'pepper',
    question: 'Do young pepper plants grow faster in a sunny or a shaded place?',
    about: 'Begins with bought young plants, so there is something to measure on the first day.',
    days: 28,
    changes: {
      factors: [
        factor('Shade', 'light', [
          { name: 'Sunny', isControl: true, light: 'bright' },
          { name: 'Paper hood', light: 'shade' },
        ]),
      ],
      seedsPerUnit: 1,
      conditions: { startsAs: 'bought', cover: 'none' },
      containers: [{ kind: 'pots', name: '', rows: 2, columns: 5, brightSide: 'top', cellMl: 500 }],
    },
  },
  {
    id: 'basil-cuttings',
    kind: 'one_factor',
    cropId: 'basil',
    question: 'Does a basil cutting grow on faster with few leaves or many?',
    about: 'Begins with cuttings of a plant, not with seed.',
    days: 28,
    changes: {
      factors: [factor('Leaves left on', 'other', [{ name: 'All', isControl: true }, { name: 'Two' }])],
      seedsPerUnit: 1,
      conditions: { startsAs: 'cuttings', stemMm: 30 },
      containers: [{ kind: 'pots', name: '', rows: 2, columns: 5, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'row-radish',
    kind: 'density',
    cropId: 'radish',
    question: 'How close can radishes stand in a row?',
    about: 'A crate with one row for each spacing.',
    days: 28,
    changes: {
      factors: [
        factor('Plants in a row', 'density', [
          { name: 'Four', isControl: true, plants: 4 },
          { name: 'Eight', plants: 8 },
          { name: 'Sixteen', plants: 16 },
        ]),
      ],
      replicates: 4,
      containers: [{ kind: 'box_rows', name: '', rows: 12, columns: 1, brightSide: 'left', cellMl: 1500 }],
    },
  },
];
