import { treatmentStyle } from './treatment-style.ts';

/** Half the side of the box that marks are drawn in. */
const MIDDLE = 12;

/** A treatment's mark in its colour, within a drawing: its box of 24 by 24 begins at 0. */
export function MarkShape({ style }: { style: number }) {
  const { color, path, fill } = treatmentStyle(style);
  if (fill === 'full') return <path d={path} fill={color} strokeLinejoin="round" />;
  return (
    <>
      <g transform="translate(2 2) scale(.8334)">
        <path d={path} fill="var(--card, white)" stroke={color} strokeWidth={3.6} strokeLinejoin="round" />
      </g>
      {fill === 'dot' && <circle cx={MIDDLE} cy={MIDDLE} r={3.2} fill={color} />}
    </>
  );
}

/** A treatment's mark in its colour. */
export function TreatmentMark({ style, size = 14 }: { style: number; size?: number }) {
  return (
    <svg className="treatment-mark" width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <MarkShape style={style} />
    </svg>
  );
}
