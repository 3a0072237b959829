/**
 * Choices with the one that was made, also while there is nothing to choose from yet: a browser would show another in its
 * place.
 */
export function withChosen(
  options: readonly (readonly [value: string, label: string])[],
  chosen: string,
): readonly (readonly [value: string, label: string])[] {
  return chosen === '' || options.some(([value]) => value === chosen) ? options : [...options, [chosen, '']];
}
