import { say } from '@bright-sprout/words/lessons';
import { READING_LEVELS, type ReadingLevel } from '@bright-sprout/core/words';
import Form from 'react-bootstrap/Form';

/** Chooses the age that a lesson is worded for. */
export function LevelSelect({
  level,
  onChange,
  className,
}: {
  level: ReadingLevel;
  onChange: (level: ReadingLevel) => void;
  className?: string;
}) {
  return (
    <Form.Select
      size="sm"
      className={className}
      aria-label={say('readingLevel')}
      value={level}
      onChange={({ target }) => onChange(target.value as ReadingLevel)}
    >
      {READING_LEVELS.map((one) => (
        <option key={one} value={one}>
          {say('ages', { level: one })}
        </option>
      ))}
    </Form.Select>
  );
}
