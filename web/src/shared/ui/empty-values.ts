/** How a form reads a number that may be left empty. */
export const NUMBER = {
  setValueAs: (value: unknown) => (value === '' || value == null ? null : Number(value)),
};

/** How a form reads a choice of which the first is none. */
export const CHOICE = { setValueAs: (value: unknown) => (value === '' ? null : value) };
