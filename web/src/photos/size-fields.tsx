import { say } from '@bright-sprout/words/photos';
import type { RealSize } from '@bright-sprout/core/imaging';
import { lengthText, type LengthScale, parseLength } from '@bright-sprout/core/shared';
import Form from 'react-bootstrap/Form';

/** How large a container is, as it is typed; empty where it is not known. */
export interface TypedSize {
  readonly across: string;
  readonly down: string;
}

/** A size as it stands in its fields. */
export function typedSize(size: RealSize | null, scale: LengthScale): TypedSize {
  return {
    across: size ? lengthText(size.acrossMm, scale) : '',
    down: size ? lengthText(size.downMm, scale) : '',
  };
}

/** The size that is typed: `null` for none, undefined where it is half typed or no length that a container has. */
export function sizeTyped({ across, down }: TypedSize, scale: LengthScale): RealSize | null | undefined {
  if (across.trim() === '' && down.trim() === '') return null;
  const [one, other] = [parseLength(across, scale), parseLength(down, scale)];
  if (!one.ok || !other.ok || Math.min(one.mm, other.mm) < LEAST || Math.max(one.mm, other.mm) > MOST)
    return undefined;
  return { acrossMm: one.mm, downMm: other.mm };
}

/** Sides of what is photographed in mm, as the server takes them. */
const LEAST = 10;
const MOST = 5000;

/** Asks how far apart the corners are in the room. */
export function SizeFields({
  typed,
  isWrong,
  onChange,
}: {
  typed: TypedSize;
  isWrong: boolean;
  onChange: (typed: TypedSize) => void;
}) {
  return (
    <fieldset className="size-fields">
      <legend>{say('realSize')}</legend>
      <Form.Group controlId="size-across">
        <Form.Label>{say('sizeAcross')}</Form.Label>
        <Form.Control
          size="sm"
          value={typed.across}
          isInvalid={isWrong}
          onChange={({ target }) => onChange({ ...typed, across: target.value })}
        />
      </Form.Group>
      <Form.Group controlId="size-down">
        <Form.Label>{say('sizeDown')}</Form.Label>
        <Form.Control
          size="sm"
          value={typed.down}
          isInvalid={isWrong}
          onChange={({ target }) => onChange({ ...typed, down: target.value })}
        />
      </Form.Group>
      <p className={isWrong ? 'note-attention' : 'quiet'}>{say(isWrong ? 'sizeWrong' : 'sizeHint')}</p>
    </fieldset>
  );
}
