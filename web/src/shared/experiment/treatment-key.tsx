import { say } from '@bright-sprout/words/interface';
import type { TreatmentView } from '@bright-sprout/contract/plans';
import { TreatmentMark } from '../plants/index.ts';

/** Treatments with their marks, under the layout. */
export function TreatmentKey({ treatments }: { treatments: readonly TreatmentView[] }) {
  return (
    <ul className="treatment-key" aria-label={say('treatments')}>
      {treatments.map(({ id, name, style, isControl }) => (
        <li key={id}>
          <TreatmentMark style={style} size={16} />
          <span>{name}</span>
          {isControl && <small>{say('control')}</small>}
        </li>
      ))}
    </ul>
  );
}
