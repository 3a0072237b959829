import type { LengthScale } from '@bright-sprout/core/shared';
import { describe, expect, jest, test } from '@jest/globals';
import { fireEvent, render, screen } from '@testing-library/react';
import { Ruler } from './ruler.tsx';

const HALF_CM: LengthScale = { unit: 'cm', step: 0.5 };

function show(changes: Partial<Parameters<typeof Ruler>[0]> = {}) {
  const onChange = jest.fn();
  render(
    <Ruler
      scale={HALF_CM}
      length={15}
      valueMm={60}
      last={{ mm: 55, label: 'Fri: 5.5' }}
      habit="bush"
      isDisabled={false}
      onChange={onChange}
      {...changes}
    />,
  );
  return { onChange, slider: screen.getByRole('slider') };
}

describe('the ruler', () => {
  test.each([
    ['ArrowUp', 65],
    ['ArrowDown', 55],
    ['PageUp', 85],
    ['PageDown', 35],
    ['Home', 0],
    ['End', 150],
  ])('%s goes to %p mm', (key, mm) => {
    const { onChange, slider } = show();
    fireEvent.keyDown(slider, { key });
    expect(onChange).toHaveBeenLastCalledWith(mm);
  });

  test('never leaves the ruler', () => {
    const { onChange, slider } = show({ valueMm: 0 });
    fireEvent.keyDown(slider, { key: 'PageDown' });
    expect(onChange).toHaveBeenLastCalledWith(0);
  });

  test('starts from the last reading, which stays in sight', () => {
    const { onChange, slider } = show({ valueMm: undefined });
    expect(slider.getAttribute('aria-valuetext')).toBe('not read yet');
    expect(screen.getByText('Fri: 5.5')).toBeTruthy();
    fireEvent.keyDown(slider, { key: 'ArrowUp' });
    expect(onChange).toHaveBeenLastCalledWith(60);
  });

  test('closed, it only shows', () => {
    const { onChange, slider } = show({ isDisabled: true });
    fireEvent.keyDown(slider, { key: 'ArrowUp' });
    expect(onChange).not.toHaveBeenCalled();
    expect(slider.getAttribute('aria-valuetext')).toBe('6.0 cm');
  });
});
