import { say } from '@bright-sprout/words/interface';
import { Figure } from './figure.tsx';
import { roomFigure, type RoomProps } from './sensor-figure.ts';

/** What the room was like, and what was done, over days since sowing. */
export default function RoomChart(props: RoomProps) {
  return (
    <div className="chart-card room-card">
      <Figure label={say('whatLoggersMeasuredAndWhenPlantsWere')} figure={roomFigure(props)} />
    </div>
  );
}
