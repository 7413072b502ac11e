/** Keys that work anywhere on a screen, but not while somebody is typing. */

const TYPING =
  'textarea, select, input:not([type=checkbox]):not([type=radio]):not([type=button]), [role=combobox], [contenteditable=true]';

export function isTyping(target: EventTarget | null): boolean {
  // An open list takes letters as well: they jump to what begins with them.
  return (
    target instanceof Element && (target.matches(TYPING) || target.closest('[role=listbox], [role=menu]') !== null)
  );
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
