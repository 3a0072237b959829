/** What a material asks for: by what it is, whatever word its name holds. */
export type MaterialKind =
  | 'acid'
  | 'alkali'
  | 'salt'
  | 'feed'
  | 'soap'
  | 'bleach'
  | 'spirit'
  | 'plain'
  | 'unknown';

/** The first that fits decides, so that an antacid is no acid and lime juice no lime. */
const KINDS: readonly (readonly [MaterialKind, RegExp])[] = [
  ['alkali', /ant(i-?)?acid|acid (neutrali[sz]er|reducer)/i],
  [
    'acid',
    /\b(lime|lemon|orange|grapefruit|citrus) (juice|water)|\bvinegar|\b(citric|acetic|ascorbic|malic)\b|\bacid\b|\blemons?\b|\bcola\b|\bsour\b/i,
  ],
  ['bleach', /\bbleach|\bperoxide|\bchlorine|\bammonia|\bdrain|\bdisinfectant/i],
  [
    'alkali',
    /\b(garden |hydrated |dolomite? |slaked )?lime(stone)?\b|\bbaking (soda|powder)|\bbicarbonate|\bchalk|\b(wood )?ash(es)?\b|\bdolomite|\begg ?shells?|\bwashing soda|\bcalcium carbonate/i,
  ],
  ['soap', /\bsoap|\bdetergent|\bwashing[- ]up|\bshampoo|\bdish liquid/i],
  ['spirit', /\balcohol|\bethanol|\bhand gel|\bwine|\bbeer/i],
  ['salt', /\b(table |sea |rock |road )?salt(s|y)?\b|\bbrine|\bsodium chloride|\bseawater/i],
  [
    'feed',
    /\bfeed|\bfertili[sz]er|\bnitrate|\bpotash|\bphosphate|\bmanure|\bseaweed|\bworm (tea|castings)|\bcompost tea|\bbone meal|\bepsom/i,
  ],
  [
    'plain',
    /\bsand\b|\bperlite|\bvermiculite|\bcompost|\bsoil|\bpeat|\bcoir|\bbark\b|\bleaf mould|\bclay|\bgravel|\bcoffee|\btea\b|\bsugar|\bmilk|\bwater|\bmulch|\bstraw|\bcharcoal|\bbiochar|\bpaper|\bsawdust|\bcinnamon|\bhoney|\brice|\boil\b|\bmix\b/i,
  ],
];

/** What kind of material a name stands for; `unknown` where nothing is known of it. */
export function materialKind(name: string): MaterialKind {
  return KINDS.find(([, pattern]) => pattern.test(name))?.[0] ?? 'unknown';
}
