/** What of two editions' rules is not the same: every value by its path, as text; nothing where it was not said. */
export interface Difference {
  readonly path: readonly string[];
  readonly from: string;
  readonly to: string;
}

function flattened(
  value: unknown,
  path: readonly string[],
  into: Map<string, { path: readonly string[]; text: string }>,
) {
  // What is not so is the same as what was not said.
  if (value === undefined || value === null || value === false) return into;
  if (typeof value === 'object')
    for (const [key, inner] of Object.entries(value)) flattened(inner, [...path, key], into);
  else into.set(JSON.stringify(path), { path, text: String(value as string | number | boolean) });
  return into;
}

/** In the order of the later one; what went out of it last. */
export function differences(before: unknown, after: unknown): Difference[] {
  const [was, is] = [flattened(before, [], new Map()), flattened(after, [], new Map())];
  const changed = [...is].flatMap(([key, { path, text }]): Difference[] => {
    const from = was.get(key)?.text ?? '';
    return from === text && was.has(key) ? [] : [{ path, from, to: text }];
  });
  const gone = [...was].flatMap(([key, { path, text }]) => (is.has(key) ? [] : [{ path, from: text, to: '' }]));
  return [...changed, ...gone];
}
