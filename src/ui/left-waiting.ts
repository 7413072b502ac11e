/** Where commands that wait are kept in this tab. */
export const OUTBOX = 'lopren.outbox';
export const leftWaiting = (): boolean => sessionStorage.getItem(OUTBOX) !== null;
