import {
  Apple,
  Banana,
  Bird,
  Bug,
  Carrot,
  Cat,
  Cherry,
  Citrus,
  Cloud,
  Clover,
  Dog,
  Egg,
  Feather,
  Fish,
  Flower,
  Grape,
  type LucideIcon,
  Leaf,
  Moon,
  Mountain,
  Nut,
  Rabbit,
  Rainbow,
  Rat,
  Salad,
  Shell,
  Snail,
  Sprout,
  Squirrel,
  Star,
  Sun,
  TreePine,
  Turtle,
  Umbrella,
  Waves,
  Wheat,
  Worm,
} from 'lucide-react';
import './classes.scss';

/** Pictures that students choose themselves by. */
export const AVATARS: Readonly<Record<string, LucideIcon>> = {
  snail: Snail,
  bird: Bird,
  fish: Fish,
  rabbit: Rabbit,
  turtle: Turtle,
  squirrel: Squirrel,
  cat: Cat,
  dog: Dog,
  bug: Bug,
  worm: Worm,
  rat: Rat,
  apple: Apple,
  cherry: Cherry,
  carrot: Carrot,
  grape: Grape,
  citrus: Citrus,
  banana: Banana,
  nut: Nut,
  wheat: Wheat,
  salad: Salad,
  leaf: Leaf,
  flower: Flower,
  clover: Clover,
  sprout: Sprout,
  pine: TreePine,
  sun: Sun,
  moon: Moon,
  star: Star,
  cloud: Cloud,
  rainbow: Rainbow,
  umbrella: Umbrella,
  mountain: Mountain,
  waves: Waves,
  shell: Shell,
  feather: Feather,
  egg: Egg,
};

export const AVATAR_NAMES = Object.keys(AVATARS);

/** The first picture that nobody has; pictures begin again when all are taken. */
export function freeAvatar(taken: readonly string[]): string {
  return (
    AVATAR_NAMES.find((name) => !taken.includes(name)) ??
    (AVATAR_NAMES[taken.length % AVATAR_NAMES.length] as string)
  );
}

/** A student's picture. */
export function Avatar({ name, size = 26 }: { name: string; size?: number }) {
  const Picture = AVATARS[name] ?? Sprout;
  return (
    <span className="avatar">
      <Picture size={size} aria-hidden="true" />
    </span>
  );
}
