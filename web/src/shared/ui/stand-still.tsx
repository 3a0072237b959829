import type { ReactNode } from 'react';

/** Controls that can be looked at and not used, where `isOn`; as they are elsewhere. */
export function StandStill({ isOn, children }: { isOn: boolean; children: ReactNode }) {
  if (!isOn) return children;
  return (
    <fieldset className="stands-still" disabled>
      {children}
    </fieldset>
  );
}
