import { parse, type MessageFormatElement, TYPE } from '@formatjs/icu-messageformat-parser';
import type { Plugin } from 'vite';

const CATALOGUE = /\/words\/src\/en\/[a-z-]+\.ts$/;

/**
 * Reads the texts of the catalogues when the interface is built, so that no page carries what reads them.
 * `isMadeUp` builds the interface in a language that nobody speaks, by which a text that is in no catalogue shows.
 */
export function readTexts(isMadeUp: boolean): Plugin {
  return {
    name: 'read-texts',
    enforce: 'pre',
    transform(code, id) {
      if (!CATALOGUE.test(id)) return undefined;
      const literal = code.replace('export default', '').replace(/;\s*$/, '');
      const texts = new Function(`return (${literal})`)() as Record<string, string>;
      const read = Object.entries(texts).map(([name, text]) => [
        name,
        isMadeUp ? madeUp(parse(text)) : shortest(text),
      ]);
      return { code: `export default ${JSON.stringify(Object.fromEntries(read))};`, map: null };
    },
  };
}

function shortest(text: string): string | MessageFormatElement[] {
  return /[{<']/.test(text) ? parse(text) : text;
}

const ACCENTS: Record<string, string> = {
  a: 'å',
  b: 'ƀ',
  c: 'ç',
  d: 'ð',
  e: 'é',
  f: 'ƒ',
  g: 'ĝ',
  h: 'ĥ',
  i: 'î',
  j: 'ĵ',
  k: 'ķ',
  l: 'ļ',
  m: 'ɱ',
  n: 'ñ',
  o: 'ö',
  p: 'þ',
  q: 'ǫ',
  r: 'ŕ',
  s: 'š',
  t: 'ţ',
  u: 'û',
  v: 'ṽ',
  w: 'ŵ',
  x: 'ẋ',
  y: 'ý',
  z: 'ž',
};

/** Every letter accented, and every word of four letters or more a third longer. */
function madeUpText(text: string): string {
  const longer = text.replace(/[A-Za-z]{4,}/g, (word) => word + word.slice(-Math.ceil(word.length / 3)));
  return longer.replace(/[a-z]/gi, (letter) => {
    const accented = ACCENTS[letter.toLowerCase()] ?? letter;
    return letter === letter.toLowerCase() ? accented : accented.toUpperCase();
  });
}

function madeUp(elements: MessageFormatElement[]): MessageFormatElement[] {
  return elements.map((element) => {
    if (element.type === TYPE.literal) return { ...element, value: madeUpText(element.value) };
    if (element.type === TYPE.tag) return { ...element, children: madeUp(element.children) };
    if (element.type !== TYPE.select && element.type !== TYPE.plural) return element;
    const options = Object.entries(element.options).map(([name, option]) => [
      name,
      { ...option, value: madeUp(option.value) },
    ]);
    return { ...element, options: Object.fromEntries(options) } as MessageFormatElement;
  });
}
