/** Parts of a page that are fetched when they are first wanted, though the connection may just then be gone. */

/** So often is a part asked for while there is a connection, before it is given up. */
const TRIES = 4;
const AGAIN_MS = 1000;

/** Until the connection is back; at once where there is one, but for a breath. */
const connected = (): Promise<void> =>
  new Promise((resolve) => {
    if (navigator.onLine) setTimeout(resolve, AGAIN_MS);
    else window.addEventListener('online', () => resolve(), { once: true });
  });

/**
 * What `fetch` answers; a fetch that fails is made again when the connection is back, so that a part that comes late
 * does not take the page, and what was typed on it, with it. Throws what the last fetch threw when the shop answers and
 * has no such part (it was brought up to date meanwhile).
 */
export async function patient<T>(fetch: () => Promise<T>): Promise<T> {
  for (let tries = 1; ;) {
    const online = typeof navigator === 'undefined' || navigator.onLine;
    try {
      return await fetch();
    } catch (error) {
      if (online && tries++ >= TRIES) throw error;
      await connected();
    }
  }
}
