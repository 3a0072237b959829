/**
 * What there is to choose, with what was chosen, also while there is nothing to choose from yet: a browser would show
 * another in its place. A value may come again under another name, by which it is found as well.
 */
export function ChoiceOptions({
  options,
  chosen,
}: {
  options: readonly (readonly [value: string, label: string])[];
  chosen: string;
}) {
  const isMissing = chosen !== '' && options.every(([value]) => value !== chosen);
  const all = isMissing ? [...options, [chosen, ''] as const] : options;
  return all.map(([value, label], at) => {
    const isFirst = all.findIndex(([one]) => one === value) === at;
    return (
      <option key={isFirst ? value : `${value} ${label}`} value={value}>
        {label}
      </option>
    );
  });
}
