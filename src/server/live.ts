/** Tells the open screens what changed, after it was committed. */
export interface Happening {
  readonly what: string;
  readonly touched: readonly string[];
}
export interface Bus {
  publish(happening: Happening): void;
  /** Answers how to stop listening. */
  listen(hear: (happening: Happening) => void): () => void;
}

export function newBus(): Bus {
  const ears = new Set<(happening: Happening) => void>();
  return {
    publish(happening) {
      for (const ear of ears) ear(happening);
    },
    listen(hear) {
      ears.add(hear);
      return () => void ears.delete(hear);
    },
  };
}
