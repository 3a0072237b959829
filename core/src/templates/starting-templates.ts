import { FURTHER_TEMPLATES } from './further-templates.ts';
import { dose, factor, type StartingTemplate } from './template.ts';

/** The templates that come with the application, at least one for each kind of investigation. */
export const STARTING_TEMPLATES: readonly StartingTemplate[] = [
  {
    id: 'watch-peas',
    kind: 'watch',
    cropId: 'pea',
    question: 'When does a pea come up, and how tall is it after three weeks?',
    about:
      'Nothing is changed: one crop is watched from seed to leaves. For a first time, and for the youngest.',
    days: 21,
    changes: {
      replicates: 12,
      containers: [{ kind: 'cups', name: '', rows: 3, columns: 4, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'coffee-mustard',
    kind: 'one_factor',
    cropId: 'white-mustard',
    question: 'Do coffee grounds help white mustard grow, or slow it down?',
    about: 'One change in three steps, with a control. Quick: two and a half weeks.',
    days: 18,
    changes: {
      factors: [
        factor('Coffee grounds', 'additive', [
          { name: 'None', isControl: true, ...dose('coffee grounds', 0, 'g') },
          { name: 'A little', ...dose('coffee grounds', 2, 'g') },
          { name: 'A lot', ...dose('coffee grounds', 8, 'g') },
        ]),
      ],
      replicates: 5,
      containers: [{ kind: 'cups', name: '', rows: 3, columns: 5, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'depth-turnip',
    kind: 'one_factor',
    cropId: 'turnip',
    question: 'How deep is too deep for a turnip seed?',
    about: 'Three sowing depths: how far can a small seed push up?',
    days: 16,
    changes: {
      factors: [
        factor('Sowing depth', 'depth', [
          { name: '1 cm', isControl: true, depthMm: 10 },
          { name: '3 cm', depthMm: 30 },
          { name: '6 cm', depthMm: 60 },
        ]),
      ],
      replicates: 5,
      containers: [{ kind: 'cups', name: '', rows: 3, columns: 5, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'cool-wheat',
    kind: 'one_factor',
    cropId: 'wheat',
    question: 'Does wheat wait in a cold frame until it is warmer?',
    about: 'A warm and a cool place: but is warmth the only thing that differs?',
    days: 21,
    changes: {
      factors: [
        factor('Warmth', 'temperature', [
          { name: 'Classroom', isControl: true, temperatureC: 21 },
          { name: 'Cold frame', temperatureC: 12 },
        ]),
      ],
      replicates: 6,
      containers: [
        { kind: 'pots', name: 'Classroom', rows: 2, columns: 3, brightSide: 'top', cellMl: 250 },
        { kind: 'pots', name: 'Cold frame', rows: 2, columns: 3, brightSide: 'none', cellMl: 250 },
      ],
    },
  },
  {
    id: 'salt-hood-alfalfa',
    kind: 'crossed',
    cropId: 'alfalfa',
    question: 'Is salty soil worse for alfalfa under a paper hood?',
    about: 'Two changes crossed: do they act together?',
    days: 20,
    changes: {
      factors: [
        factor('Salt', 'additive', [
          { name: 'No salt', isControl: true, ...dose('salt', 0, 'g') },
          { name: 'Salt', ...dose('salt', 0.5, 'g') },
        ]),
        factor('Hood', 'light', [
          { name: 'Open', isControl: true, light: 'bright' },
          { name: 'Hood', light: 'shade' },
        ]),
      ],
      replicates: 4,
      containers: [{ kind: 'pots', name: '', rows: 4, columns: 4, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'sharing-marigolds',
    kind: 'density',
    cropId: 'marigold',
    question: 'How many marigolds can share a pot?',
    about: 'One, two and four plants a pot, a marked plant read each time.',
    days: 28,
    changes: {
      factors: [
        factor('Plants in a pot', 'density', [
          { name: 'One', isControl: true, plants: 1 },
          { name: 'Two', plants: 2 },
          { name: 'Four', plants: 4 },
        ]),
      ],
      replicates: 4,
      containers: [{ kind: 'pots', name: '', rows: 3, columns: 4, brightSide: 'top', cellMl: 450 }],
    },
  },
  {
    id: 'nasturtium-cucumber',
    kind: 'crops',
    cropId: 'nasturtium',
    question: 'Which climbs faster, nasturtium or cucumber?',
    about: 'Two crops side by side, nothing else changed.',
    days: 28,
    changes: {
      factors: [
        factor('Crop', 'crop', [
          { name: 'Nasturtium', cropId: 'nasturtium' },
          { name: 'Cucumber', cropId: 'cucumber' },
        ]),
      ],
      replicates: 6,
      containers: [{ kind: 'cups', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 200 }],
    },
  },
  {
    id: 'sunflower-stairs',
    kind: 'ages',
    cropId: 'sunflower',
    question: 'What does a sunflower look like at one, two, three and four weeks?',
    about: 'Sown on five days, so that all ages stand in a row on the lesson day.',
    days: 28,
    changes: {
      factors: [
        factor('Age on the lesson day', 'age', [
          { name: 'Four weeks', ageDays: 28 },
          { name: 'Three weeks', ageDays: 21 },
          { name: 'Two weeks', ageDays: 14 },
          { name: 'One week', ageDays: 7 },
          { name: 'The day before', ageDays: 1 },
        ]),
      ],
      replicates: 3,
      containers: [{ kind: 'pots', name: '', rows: 3, columns: 5, brightSide: 'top', cellMl: 300 }],
    },
  },
  {
    id: 'old-onions',
    kind: 'packet_test',
    cropId: 'onion',
    question: 'Does an old packet of onions still keep its word?',
    about: 'Count seeds in and seedlings up. You get the packet’s germination rate, with how sure it is.',
    days: 21,
    changes: { replicates: 10, seedsPerUnit: 10, plantsPerUnit: 10 },
  },
  {
    id: 'dark-pale-spinach',
    kind: 'sorting',
    cropId: 'spinach',
    question: 'Do big spinach seeds come up better than small ones?',
    about: 'Seeds sorted before sowing: did the sorting predict anything?',
    days: 18,
    changes: {
      factors: [factor('Size, sorted by eye', 'sorting', [{ name: 'Big' }, { name: 'Small' }])],
    },
  },
  {
    id: 'mung-upside-down',
    kind: 'soil_free',
    cropId: 'mung-bean',
    question: 'Do mung bean roots still grow down when their bag is turned?',
    about: 'Roots behind a window pane; bags turned half way.',
    days: 10,
    changes: {
      factors: [
        factor('Bag', 'other', [{ name: 'Left alone', isControl: true }, { name: 'Turned on day 4' }]),
      ],
      seedsPerUnit: 4,
      plantsPerUnit: 4,
      prediction: {
        prompt: 'Where will the roots point a day after the turn?',
        choices: ['Still the old way', 'Round the corner, down', 'Every way'],
      },
    },
  },
  {
    id: 'green-carpet',
    kind: 'sections',
    cropId: 'annual-ryegrass',
    question: 'Which green carpet closes first?',
    about: 'A pan in sections, a photo straight down every day.',
    days: 17,
    changes: {
      factors: [
        factor('Crop', 'crop', [
          { name: 'Ryegrass', cropId: 'annual-ryegrass' },
          { name: 'White mustard', cropId: 'white-mustard' },
          { name: 'Salad mix', cropId: 'salad-mix' },
        ]),
      ],
      replicates: 3,
      containers: [{ kind: 'pan_sections', name: '', rows: 3, columns: 3, brightSide: 'top', cellMl: 400 }],
    },
  },
  {
    id: 'potato-pieces',
    kind: 'pieces',
    cropId: 'potato',
    question: 'Does a small piece of potato make a small plant?',
    about: 'No seed at all: pieces of a sprouted tuber, by weight.',
    days: 35,
    changes: {
      factors: [
        factor('Weight of the piece', 'other', [{ name: '50 g', isControl: true }, { name: '20 g' }]),
      ],
    },
  },
  {
    id: 'oat-ruler-race',
    kind: 'challenge',
    cropId: 'oat',
    question: 'Whose oat is first to grow taller than the pencil pot?',
    about: 'Every child a plant, one mark to pass.',
    days: 21,
    changes: {
      referenceMm: 100,
      replicates: 12,
      containers: [{ kind: 'cups', name: '', rows: 2, columns: 6, brightSide: 'top', cellMl: 200 }],
    },
  },
  ...FURTHER_TEMPLATES,
];
