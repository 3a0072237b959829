import { COLOURS } from './tokens.ts';
/** The sign of Bright Sprout. */
export function Logo({ size = 44 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 48 48" aria-hidden="true">
      <path d="M11 31h26l-3.4 13a2 2 0 0 1-2 1.5H16.4a2 2 0 0 1-2-1.5Z" fill={COLOURS.terracotta} />
      <rect x="9" y="27" width="30" height="7" rx="2.5" fill={COLOURS.terracottaLight} />
      <path d="M24 28V15" stroke={COLOURS.leaf} strokeWidth="4" strokeLinecap="round" />
      <path d="M24 18C12 19 8 12 8 4c10 0 16 4 16 14Z" fill={COLOURS.leaf} />
      <path d="M24 15c0-8 6-12 15-12 0 8-5 13-15 12Z" fill={COLOURS.leafLight} />
    </svg>
  );
}
