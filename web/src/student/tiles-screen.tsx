import type { StudentPart } from '@bright-sprout/contract/classes';
import { Tile } from '../classes/index.ts';

/** Who is here? Pictures with names. */
export function TilesScreen({
  students,
  isBusy,
  onChoose,
}: {
  students: readonly StudentPart[];
  isBusy: boolean;
  onChoose: (id: string) => void;
}) {
  return (
    <main>
      <h1>Who are you?</h1>
      {students.length === 0 && <p>Nobody is in this class yet. Ask your teacher.</p>}
      <ul className="tile-grid">
        {students.map(({ id, displayName, tile }) => (
          <li key={id}>
            <button type="button" disabled={isBusy} onClick={() => onChoose(id)}>
              <Tile name={tile} size={44} />
              {displayName}
            </button>
          </li>
        ))}
      </ul>
    </main>
  );
}
