import { COLOURS } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/inventory';
import type { CropView } from '@bright-sprout/contract/inventory';
import { useEffect, useRef } from 'react';
import { SeedDrawing } from './seed-shape.tsx';

const PX_PER_MM = 6;
const LEAST_WIDTH = 78;
const SOIL_TOP = 116;
const DEPTH_PX_PER_MM = 1.05;
const HEIGHT = 230;
const COLORS = [COLOURS.bark, COLOURS.seedDark, COLOURS.seedCoat, COLOURS.seed, COLOURS.soil];

/** Every seed drawn to one true scale, above the soil at the depth it is sown. */
export function SeedLineUp({
  crops,
  chosenId,
  onChoose,
}: {
  crops: readonly CropView[];
  chosenId: string | undefined;
  onChoose: (id: string) => void;
}) {
  const row = useRef<HTMLDivElement>(null);
  const bySize = [...crops].sort((a, b) => (a.seedLengthMm ?? Infinity) - (b.seedLengthMm ?? Infinity));
  useEffect(() => {
    const chosen = row.current?.querySelector(`[data-crop="${chosenId}"]`);
    chosen?.scrollIntoView({ block: 'nearest', inline: 'center' });
  }, [chosenId]);
  const walk = (event: React.KeyboardEvent): void => {
    const move = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    if (move === 0) return;
    event.preventDefault();
    const at = bySize.findIndex((crop) => crop.id === chosenId);
    const next = bySize[Math.max(0, Math.min(bySize.length - 1, at + move))];
    if (!next) return;
    onChoose(next.id);
    row.current?.querySelector<HTMLElement>(`[data-crop="${next.id}"]`)?.focus();
  };
  return (
    <>
      <div
        ref={row}
        className="seed-row"
        role="radiogroup"
        aria-label={say('cropsByTheSizeOfTheirSeed')}
        onKeyDown={walk}
      >
        {bySize.map((crop, index) => (
          <button
            key={crop.id}
            type="button"
            role="radio"
            data-crop={crop.id}
            aria-checked={crop.id === chosenId}
            tabIndex={crop.id === chosenId ? 0 : -1}
            aria-label={label(crop)}
            onClick={() => onChoose(crop.id)}
          >
            <Seed crop={crop} color={COLORS[index % COLORS.length] as string} />
            <span>{crop.commonName}</span>
          </button>
        ))}
      </div>
      <p className="quiet seed-scale">
        <i style={{ width: 10 * PX_PER_MM }} /> {say('n1CmForEverySeedBelowHow')}
      </p>
    </>
  );
}

function Seed({ crop, color }: { crop: CropView; color: string }) {
  const length = crop.seedLengthMm;
  const thick = crop.seedThicknessMm ?? (length ?? 0) * 0.6;
  const width = Math.max(LEAST_WIDTH, (length ?? 0) * PX_PER_MM + 12);
  const depth = Math.min((crop.sowingDepthMm ?? 0) * DEPTH_PX_PER_MM, HEIGHT - SOIL_TOP - 28);
  return (
    <svg width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden="true">
      <rect x="0" y={SOIL_TOP} width={width} height={HEIGHT - SOIL_TOP} fill={COLOURS.seedCoat} />
      {length !== null && (
        <SeedDrawing
          shape={crop.seedShape ?? 'oval'}
          x={(width - length * PX_PER_MM) / 2}
          y={SOIL_TOP - 6 - thick * PX_PER_MM}
          width={length * PX_PER_MM}
          height={thick * PX_PER_MM}
          color={color}
        />
      )}
      {crop.sowingDepthMm !== null && (
        <>
          <path d={`M${width / 2} ${SOIL_TOP}v${depth}`} stroke={COLOURS.paper} strokeDasharray="3 3" />
          <circle cx={width / 2} cy={SOIL_TOP + depth} r="4" fill={COLOURS.seedLight} />
          <text
            x={width / 2}
            y={SOIL_TOP + depth + 20}
            fill={COLOURS.white}
            fontSize="13"
            textAnchor="middle"
          >
            {crop.sowingDepthMm === 0 ? say('surface') : say('mm', { sowingDepthMm: crop.sowingDepthMm })}
          </text>
        </>
      )}
    </svg>
  );
}

function label(crop: CropView): string {
  const size =
    crop.seedLengthMm === null ? say('sizeNotKnown') : say('mmLong', { seedLengthMm: crop.seedLengthMm });
  return `${crop.commonName}, ${size}`;
}
