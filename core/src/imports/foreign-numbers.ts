/** Which mark begins the decimals of a table; in `either` a table holds both, each for decimals. */
export const DECIMAL_MARKS = ['point', 'comma', 'either'] as const;
export type DecimalMark = (typeof DECIMAL_MARKS)[number];

/** A number as text that `Number` reads, with the unit beside it; the unit is empty where none stands there. */
export interface Amount {
  readonly number: string;
  readonly unit: string;
}

const UNITS: Readonly<Record<string, string>> = {
  mm: 'mm',
  cm: 'cm',
  dm: 'dm',
  m: 'm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  '″': 'in',
  ft: 'ft',
  g: 'g',
  kg: 'kg',
  mg: 'mg',
  '%': '%',
};

/** How many of the smallest of its kind one unit is. */
const SIZES: Readonly<Record<string, readonly [string, number]>> = {
  mm: ['length', 1],
  cm: ['length', 10],
  dm: ['length', 100],
  m: ['length', 1000],
  in: ['length', 25.4],
  ft: ['length', 304.8],
  mg: ['mass', 1],
  g: ['mass', 1000],
  kg: ['mass', 1_000_000],
};

/** The usual sign of a unit: `inches` is `in`; undefined for a unit that cells are not read with. */
export function unitOf(text: string): string | undefined {
  return UNITS[text.trim().toLowerCase().replace(/\.$/, '')];
}

/** How many `to` one `from` is; undefined where one cannot be told in the other. */
export function unitFactor(from: string, to: string): number | undefined {
  const [own, other] = [SIZES[from], SIZES[to]];
  return own && other && own[0] === other[0] ? own[1] / other[1] : undefined;
}

/**
 * `4.5`, `4,5`, `1,250`, `95 mm`, `2 1/4`, `3/8 in`; undefined for anything else, and for a comma or a point that
 * can be neither the decimal mark nor one that groups thousands.
 */
export function amountOf(text: string, mark: DecimalMark = 'either'): Amount | undefined {
  const [, bare = '', named = ''] =
    /^(.*?)\s*(mm|cm|dm|m|in\.?|inch|inches|"|″|ft|kg|mg|g|%)?$/i.exec(text.trim()) ?? [];
  const number = numberOf(bare.trim(), mark);
  return number === undefined ? undefined : { number, unit: named === '' ? '' : (unitOf(named) ?? '') };
}

/** The number of {@link amountOf}. */
export function plainNumber(text: string, mark: DecimalMark = 'either'): string | undefined {
  return amountOf(text, mark)?.number;
}

function numberOf(bare: string, mark: DecimalMark): string | undefined {
  const [, whole = '0', top, bottom] = /^(?:(\d+)[\s-])?(\d+)\/(2|4|8|16|32)$/.exec(bare) ?? [];
  if (top !== undefined && bottom !== undefined) return String(Number(whole) + Number(top) / Number(bottom));
  if (/^-?\d{1,3}([\u00a0\u202f ]\d{3})+([.,]\d+)?$/.test(bare))
    return bare.replace(/\s/g, '').replace(',', '.');
  if (
    mark !== 'comma' &&
    /^-?\d{1,3}(,\d{3})+(\.\d+)?$/.test(bare) &&
    (mark === 'point' || /,.*[,.]/.test(bare))
  )
    return bare.replaceAll(',', '');
  if (
    mark !== 'point' &&
    /^-?\d{1,3}(\.\d{3})+(,\d+)?$/.test(bare) &&
    (mark === 'comma' || /\..*[,.]/.test(bare))
  )
    return bare.replaceAll('.', '').replace(',', '.');
  const sign =
    mark === 'point'
      ? /^-?\d*\.?\d+(?:[eE][-+]?\d+)?$/
      : mark === 'comma'
        ? /^-?\d*,?\d+(?:[eE][-+]?\d+)?$/
        : /^-?\d*[.,]?\d+(?:[eE][-+]?\d+)?$/;
  return sign.test(bare) ? bare.replace(',', '.') : undefined;
}

/**
 * Which mark begins the decimals, by the numbers of a whole table.
 * @returns `isSure` false where numbers such as `1,250` can be meant in two ways
 */
export function decimalMarkOf(texts: readonly string[]): {
  readonly mark: DecimalMark;
  readonly isSure: boolean;
} {
  const numbers = texts.flatMap(
    (text) => /^-?(\d*[.,][\d.,]*\d|\d+)(?=\s*\D*$)/.exec(text.trim())?.[0] ?? [],
  );
  const isDecimal = (sign: string): boolean =>
    numbers.some((text) => {
      const [head = '', ...tails] = text.split(sign);
      return (
        tails.length === 1 &&
        (tails[0]?.length !== 3 || /^-?0?$/.test(head) || head.length > 4 || /[.,]/.test(head))
      );
    });
  const groups = (sign: string): boolean =>
    numbers.some((text) => {
      const tails = text.split(sign).slice(1);
      return tails.length > 1 || /[.,]/.test(tails[0] ?? '');
    });
  const has = (sign: string): boolean => numbers.some((text) => text.includes(sign));
  const [isComma, isPoint] = [isDecimal(',') && !groups(','), isDecimal('.') && !groups('.')];
  if (isComma && isPoint) return { mark: 'either', isSure: true };
  if (isComma) return { mark: 'comma', isSure: true };
  if (isPoint) return { mark: 'point', isSure: true };
  if (groups(',') && !groups('.')) return { mark: 'point', isSure: true };
  if (groups('.') && !groups(',')) return { mark: 'comma', isSure: true };
  return { mark: has(',') ? 'comma' : 'point', isSure: !has(',') && !has('.') };
}
