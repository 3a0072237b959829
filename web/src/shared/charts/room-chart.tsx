import { Figure } from './figure.tsx';
import { roomFigure, type RoomProps } from './sensor-figure.ts';

/** What the room was like, and what was done, over days since sowing. */
export default function RoomChart(props: RoomProps) {
  return (
    <div className="chart-card room-card">
      <Figure
        label="What loggers measured and when plants were cared for, over days since sowing"
        figure={roomFigure(props)}
      />
    </div>
  );
}
