import { COLOURS } from '../ui/tokens.ts';
import type { CropHabit } from '@bright-sprout/core/design';

/** A plant seen from the side, drawn upward from (0, 0) to `height` in the units of the drawing. */
export function PlantFromSide({ height, habit }: { height: number; habit: CropHabit }) {
  if (height <= 0) return null;
  if (habit === 'grass') return <Grass height={height} />;
  return <Stemmed height={height} habit={habit} />;
}

function Grass({ height }: { height: number }) {
  const lean = Math.min(height * 0.35, 60);
  const blades = [
    { x: 0, top: 1, color: COLOURS.leaf },
    { x: -lean * 0.6, top: 0.8, color: COLOURS.leafLight },
    { x: lean * 0.7, top: 0.7, color: COLOURS.leaf },
    { x: -lean, top: 0.45, color: COLOURS.leaf },
  ];
  return (
    <g>
      {blades.slice(0, height > 40 ? 4 : 2).map(({ x, top, color }) => (
        <path
          key={x}
          d={`M-3 0Q${x * 0.2 - 2} ${-height * top * 0.6} ${x} ${-height * top}Q${x * 0.3 + 3} ${-height * top * 0.5} 3 0Z`}
          fill={color}
        />
      ))}
    </g>
  );
}

function Stemmed({ height, habit }: { height: number; habit: CropHabit }) {
  const sway = habit === 'climber' ? Math.min(14, height * 0.08) : Math.min(4, height * 0.02);
  const width = Math.max(2.5, Math.min(7, 2 + height * 0.018));
  const spacing = habit === 'bush' ? 34 : 46;
  const pairs = Math.max(1, Math.min(9, Math.floor(height / spacing)));
  const reach = Math.max(9, Math.min(44, height * (habit === 'rosette' ? 0.6 : 0.26)));
  return (
    <g>
      <path
        d={`M0 0C${sway} ${-height * 0.35} ${-sway} ${-height * 0.7} 0 ${-height}`}
        fill="none"
        stroke={COLOURS.leaf}
        strokeWidth={width}
        strokeLinecap="round"
      />
      {Array.from({ length: pairs }, (_, index) => {
        const at = pairs === 1 ? height * 0.96 : height * (0.3 + (0.66 * index) / (pairs - 1));
        const size = reach * (1 - 0.35 * (index / pairs));
        return (
          <g key={index} transform={`translate(0 ${-at})`}>
            <Leaf
              size={size}
              tilt={-18 - (index % 2) * 10}
              color={index % 2 ? COLOURS.leafLight : COLOURS.leaf}
            />
            <g transform="scale(-1 1)">
              <Leaf
                size={size * 0.92}
                tilt={-24 + (index % 2) * 10}
                color={index % 2 ? COLOURS.leaf : COLOURS.leafLight}
              />
            </g>
          </g>
        );
      })}
      <path
        d={`M0 ${-height}q-4 -1 -5 -7q5 0 5 7q1 -6 6 -7q0 6 -6 7`}
        fill={COLOURS.leafLight}
        transform={`translate(0 ${Math.min(7, height * 0.1)})`}
      />
    </g>
  );
}

function Leaf({ size, tilt, color }: { size: number; tilt: number; color: string }) {
  return (
    <g transform={`rotate(${tilt})`}>
      <path
        d={`M0 0C${size * 0.25} ${-size * 0.42} ${size * 0.8} ${-size * 0.4} ${size} 0C${size * 0.75} ${size * 0.22} ${size * 0.25} ${size * 0.22} 0 0Z`}
        fill={color}
      />
      <path d={`M2 0L${size * 0.8} ${-size * 0.03}`} stroke={COLOURS.leafDark} strokeWidth="1" />
    </g>
  );
}
