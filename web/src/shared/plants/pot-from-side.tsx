import { COLOURS } from '../ui/tokens.ts';
/** A clay pot seen from the side; the soil line is y = 0 and the pot hangs below it. */
export function PotFromSide({ width, depth }: { width: number; depth: number }) {
  const half = width / 2;
  const rim = depth * 0.28;
  return (
    <g>
      <path
        d={`M${-half * 0.93} ${rim * 0.6}L${-half * 0.74} ${depth}H${half * 0.74}L${half * 0.93} ${rim * 0.6}Z`}
        fill={COLOURS.terracotta}
      />
      <rect
        x={-half}
        y={-rim * 0.12}
        width={width}
        height={rim}
        rx={rim * 0.2}
        fill={COLOURS.terracottaLight}
      />
      <ellipse cx="0" cy={rim * 0.02} rx={half * 0.9} ry={rim * 0.22} fill={COLOURS.soilDark} />
    </g>
  );
}
