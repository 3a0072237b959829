import { COLOURS } from '../ui/tokens.ts';
/** Leaves that fit a pot seen from above; more leaves for a taller plant. */
const MOST_LEAVES = 8;
const GOLDEN_ANGLE = 137.5;
const FULL_HEIGHT_MM = 140;

/** A pot seen from above with what grows in it. */
export function PotFromAbove({
  state,
  heightMm,
  turn,
}: {
  state: 'not_emerged' | 'emerged' | 'dead' | 'removed' | 'unknown';
  heightMm: number | null;
  turn: number;
}) {
  return (
    <svg className="pot-above" viewBox="0 0 100 100" aria-hidden="true">
      <circle cx="50" cy="52" r="47" fill="rgb(30 43 38 / 10%)" />
      <circle cx="50" cy="50" r="47" fill={COLOURS.terracotta} />
      <circle cx="50" cy="50" r="41" fill={COLOURS.terracottaLight} />
      <circle cx="50" cy="50" r="38" fill={COLOURS.soilDark} />
      <Crumbs turn={turn} />
      {state === 'emerged' && <Leaves heightMm={heightMm} turn={turn} />}
      {state === 'dead' && (
        <path
          d="M34 58c8-14 18-16 27-8m-4-10c4 2 6 6 5 11"
          fill="none"
          stroke={COLOURS.straw}
          strokeWidth="5"
          strokeLinecap="round"
        />
      )}
      {state === 'removed' && (
        <path d="M38 38 62 62M62 38 38 62" stroke={COLOURS.straw} strokeWidth="4" strokeLinecap="round" />
      )}
    </svg>
  );
}

function Crumbs({ turn }: { turn: number }) {
  const crumbs = [11, 19, 26, 31, 15, 23, 29];
  return (
    <g fill={COLOURS.soil}>
      {crumbs.map((distance, index) => {
        const angle = ((turn * 53 + index * 97) * Math.PI) / 180;
        const [x, y] = [50 + distance * Math.cos(angle), 50 + distance * Math.sin(angle)];
        return <circle key={index} cx={x} cy={y} r={index % 2 ? 1.4 : 2} />;
      })}
    </g>
  );
}

function Leaves({ heightMm, turn }: { heightMm: number | null; turn: number }) {
  const share = Math.min(1, (heightMm ?? 10) / FULL_HEIGHT_MM);
  const count = Math.max(2, Math.round(2 + share * (MOST_LEAVES - 2)));
  const length = 12 + share * 24;
  return (
    <g transform={`rotate(${turn * 40} 50 50)`}>
      {Array.from({ length: count }, (_, index) => {
        const size = length * (1 - index * 0.06);
        const shade = index % 2 === 0 ? COLOURS.leaf : COLOURS.leafLight;
        return (
          <g key={index} transform={`rotate(${count === 2 ? index * 180 : index * GOLDEN_ANGLE} 50 50)`}>
            <path
              d={`M50 50C${50 - size * 0.5} ${50 - size * 0.35} ${50 - size * 0.4} ${50 - size * 0.95} 50 ${50 - size}C${50 + size * 0.4} ${50 - size * 0.95} ${50 + size * 0.5} ${50 - size * 0.35} 50 50Z`}
              fill={shade}
            />
            <path d={`M50 50V${50 - size * 0.8}`} stroke={COLOURS.leafDark} strokeWidth="1" />
          </g>
        );
      })}
    </g>
  );
}
