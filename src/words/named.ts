/** The words of a table by its codes; a code without one is said as it is. */
export const named =
  (table: Readonly<Record<string, string>>) =>
  (key: string): string =>
    table[key] ?? key;
