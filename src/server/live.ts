/** Tells the open screens what changed, after it was committed. */
export interface ChangeEvent {
  readonly what: string;
  readonly touched: readonly string[];
  /** The command that did it: whoever gave it looks at it once, not again when it is told. */
  readonly id?: string;
}
type Hear = (happening: ChangeEvent) => void;
export interface Bus {
  publish(happening: ChangeEvent): void;
  /** Answers how to stop listening. `over` is called when the session is ended, or everything. */
  listen(hear: Hear, session?: string, over?: () => void): () => void;
  /** Ends the streams of these sessions; of all when none are named. */
  end(sessions?: readonly string[]): void;
}

export function newBus(): Bus {
  const ears = new Set<{ readonly hear: Hear; readonly session: string; readonly over: () => void }>();
  return {
    publish(happening) {
      for (const { hear } of ears) hear(happening);
    },
    listen(hear, session = '', over = () => undefined) {
      const ear = { hear, session, over };
      ears.add(ear);
      return () => void ears.delete(ear);
    },
    end(sessions) {
      for (const ear of [...ears]) {
        if (sessions && !sessions.includes(ear.session)) continue;
        ears.delete(ear);
        ear.over();
      }
    },
  };
}
