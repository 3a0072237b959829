import { treatmentStyle } from './treatment-style.ts';

/** A treatment's mark in its colour. */
export function TreatmentMark({ style, size = 14 }: { style: number; size?: number }) {
  const { color, path } = treatmentStyle(style);
  return (
    <svg className="treatment-mark" width={size} height={size} viewBox="0 0 24 24" aria-hidden="true">
      <path d={path} fill={color} strokeLinejoin="round" />
    </svg>
  );
}
