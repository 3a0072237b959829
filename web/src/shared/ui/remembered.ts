import { useState } from 'react';

/** A choice that this device remembers, such as the reading level. */
export function useRemembered<T extends string>(
  key: string,
  choices: readonly T[],
  fallback: T,
): [T, (value: T) => void] {
  const name = `bright-sprout.${key}`;
  const [value, setValue] = useState<T>(() => {
    const kept = localStorage.getItem(name);
    return choices.find((choice) => choice === kept) ?? fallback;
  });
  return [
    value,
    (next) => {
      localStorage.setItem(name, next);
      setValue(next);
    },
  ];
}
