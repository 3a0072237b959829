import type {
  Aspect,
  ContainerKind,
  DepthRule,
  InvestigationKind,
  LightPlace,
  RateSource,
} from '../design/index.ts';
import type { DepthReason, Household } from '../amounts/index.ts';
import type { TaskCode } from '../calendar/index.ts';

/** Name and use of each kind of investigation. */
export const KIND_WORDS: Record<InvestigationKind, { readonly name: string; readonly about: string }> = {
  one_factor: { name: 'One change', about: 'One thing changed, against pots left as usual.' },
  crossed: { name: 'Crossed changes', about: 'Two or three things changed, in every combination.' },
  density: { name: 'Crowding', about: 'More or fewer plants in a pot.' },
  crops: { name: 'Crops side by side', about: 'Two or more crops, nothing else changed.' },
  ages: { name: 'Age ladder', about: 'Sown on several days, so all ages stand in a row.' },
  packet_test: { name: 'Packet test', about: 'Seeds counted in, seedlings counted out.' },
  sorting: { name: 'Sorted seeds', about: 'Sorted before sowing: did it predict anything?' },
  soil_free: { name: 'Roots in sight', about: 'Bags, jars or sponges without soil.' },
  sections: { name: 'Pan in sections', about: 'One crop a section, seen from above.' },
  pieces: { name: 'Pieces, not seeds', about: 'Plants from pieces of a plant.' },
  challenge: { name: 'Growing challenge', about: 'Which plant passes the mark first?' },
};

export const ASPECT_WORDS: Record<Aspect, string> = {
  water: 'water',
  light: 'light',
  temperature: 'temperature',
  additive: 'what is added',
  medium: 'what it grows in',
  cover: 'cover',
  depth: 'sowing depth',
  density: 'plants in a pot',
  crop: 'crop',
  age: 'age',
  sorting: 'sorting of the seed',
  other: 'something else',
};

export const CONTAINER_WORDS: Record<ContainerKind, string> = {
  egg_carton: 'Egg carton',
  flat: 'Flat',
  cups: 'Cups',
  pots: 'Pots',
  jars: 'Jars',
  bags: 'Bags on a window',
  box_rows: 'Box with rows',
  pan_sections: 'Pan in sections',
};

export const LIGHT_WORDS: Record<LightPlace, string> = {
  bright: 'bright window',
  shade: 'shade',
  dark: 'dark',
  lamp: 'under a lamp',
};

export const DEPTH_WORDS: Record<DepthRule, string> = {
  packet: 'What the packet says',
  as_thick: 'As deep as the seed is thick',
  two_and_half: '2½ times as deep as thick',
  half_inch: 'Half an inch for all',
  quarter_inch: 'A quarter inch for all',
  surface: 'On the surface',
};

export const DEPTH_REASON_WORDS: Record<DepthReason, string> = {
  'packet-says': 'packets know their own seed best',
  'needs-light': 'this seed needs light to come up',
  tiny: 'a seed this small has no strength for the way up',
  'no-figure': 'there is no figure on the packet, so the size of the seed decides',
};

export const RATE_WORDS: Record<RateSource, string> = {
  typical: 'typical for this crop',
  packet: 'by the packet',
  aged: 'by the packet, less a tenth for each year after the first (a rule of thumb: test ten seeds to know)',
  tested: 'by the packet and your own tests',
};

export const TASK_WORDS: Record<TaskCode, string> = {
  cold: 'Seeds into the cold',
  treat_mix: 'Treat the mix and let it react',
  soak: 'Soak the seeds',
  kits: 'Make up the kits',
  sow: 'Sow',
  first_check: 'First look: anything up?',
  uncover: 'Take the cover off',
  read: 'Read every pot',
  water: 'Check the water',
  thin: 'Thin to the strongest',
  pot_on: 'Pot on',
  harden: 'Begin hardening off',
  plant_out: 'Plant out',
  harvest: 'Harvest or flower',
  lesson: 'The lesson',
  own: 'A task of your own',
};

const FRACTIONS: Record<string, string> = { '0.25': '¼', '0.5': '½', '0.75': '¾' };

/** A kitchen measure in words: `2½ cups`. */
export function householdText({ amount, measure }: Household): string {
  const whole = Math.floor(amount);
  const part = FRACTIONS[String(amount - whole)] ?? '';
  const number = whole === 0 && part !== '' ? part : `${whole}${part}`;
  return `${number} ${measure}${amount > 1 ? 's' : ''}`;
}

/** A volume in mL or litres. */
export function volumeText(ml: number): string {
  if (ml >= 1000) return `${(Math.ceil(ml / 100) / 10).toString()} L`;
  return `${ml < 10 ? Math.round(ml * 10) / 10 : Math.round(ml)} mL`;
}

/** A chance of whole classes: `9 in 10`, never quite 0 or 10 where it is not. */
export function chanceText(chance: number): string {
  if (chance >= 0.995) return chance >= 0.9995 ? 'as good as certain' : '99 in 100';
  if (chance <= 0.005) return chance <= 0.0005 ? 'as good as never' : '1 in 200';
  const tenths = Math.round(chance * 10);
  const isTenths = Math.abs(chance - tenths / 10) < 0.005 && tenths > 0 && tenths < 10;
  return isTenths ? `${tenths} in 10` : `${Math.round(chance * 100)} in 100`;
}
