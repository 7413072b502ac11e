'use client';
/** What is typed into a form and not saved is there again when somebody comes back to it in this tab. */
import { useCallback, useEffect } from 'react';
import type { FieldValues, Path, PathValue, UseFormReturn } from 'react-hook-form';

const read = (key: string): Readonly<Record<string, unknown>> => {
  try {
    const kept: unknown = JSON.parse(sessionStorage.getItem(key) ?? '{}');
    return typeof kept === 'object' && kept !== null ? (kept as Record<string, unknown>) : {};
  } catch (error) {
    // Text that is not ours; a storage that is closed keeps nothing.
    if (error instanceof SyntaxError || error instanceof DOMException) return {};
    throw error;
  }
};
const write = (key: string, typed: Readonly<Record<string, unknown>>): void => {
  try {
    if (Object.keys(typed).length === 0) sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, JSON.stringify(typed));
  } catch (error) {
    if (!(error instanceof DOMException)) throw error;
  }
};

/** Only fields that say something else than what is saved are kept: what others changed beside them is not undone. Answers how to forget. */
export function useTypedKept<V extends FieldValues>(form: UseFormReturn<V>, key: string): () => void {
  const { setValue, getValues, watch } = form;
  const saved = form.formState.defaultValues as Readonly<Record<string, unknown>>;
  useEffect(() => {
    for (const [field, text] of Object.entries(read(key)))
      if (typeof text === 'string' && typeof (getValues() as Record<string, unknown>)[field] === 'string')
        setValue(field as Path<V>, text as PathValue<V, Path<V>>, { shouldDirty: true });
    const { unsubscribe } = watch((values) =>
      write(key, Object.fromEntries(Object.entries(values).filter(([field, text]) => text !== saved[field]))),
    );
    return unsubscribe;
    // The form of one key is one form: what it began with does not change under it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return useCallback(() => write(key, {}), [key]);
}
