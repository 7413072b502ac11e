/** Texts that no database keeps: the sign NUL, and halves of a pair. Looked for before anything is done with them. */

const isBad = (text: string) => text.includes('\u0000') || !text.isWellFormed();

/** A path of the first such text in a value, names of keys included; undefined when every text can be kept. */
export function unreadable(value: unknown): string | undefined {
  const open: [unknown, string][] = [[value, '']];
  for (;;) {
    const next = open.pop();
    if (!next) return undefined;
    const [one, path] = next;
    if (typeof one === 'string') {
      if (isBad(one)) return path;
    } else if (typeof one === 'object' && one !== null) {
      for (const [key, inner] of Object.entries(one)) {
        if (isBad(key)) return path;
        open.push([inner, path === '' ? key.slice(0, 60) : `${path}.${key.slice(0, 60)}`]);
      }
    }
  }
}

/** A part of a path as it was typed; as it stands when it cannot be read. Never with a sign that cannot be stored. */
export function decoded(part: string): string {
  let text = part;
  try {
    text = decodeURIComponent(part);
  } catch {
    // Kept as it came.
  }
  return isBad(text) ? '' : text;
}
