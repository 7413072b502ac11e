/** Keys that work anywhere on a screen, but not while somebody is typing. */

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);

export function isTyping(target: EventTarget | null): boolean {
  const element = target as HTMLElement | null;
  return element !== null && (TYPING.has(element.tagName) || element.isContentEditable || element.getAttribute?.('role') === 'combobox');
}

/** Calls back on a plain key; answers how to stop. */
export function onKey(key: string, then: (event: KeyboardEvent) => void): () => void {
  const hear = (event: KeyboardEvent) => {
    if (event.key !== key || event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return;
    event.preventDefault();
    then(event);
  };
  window.addEventListener('keydown', hear);
  return () => window.removeEventListener('keydown', hear);
}
