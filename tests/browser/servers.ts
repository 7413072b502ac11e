/** Where the servers of the browser tests listen: for each worker the demo, and an empty shop. */
export const WORKERS = 2;
const FIRST = 3930;
export const demoPort = (worker: number): number => FIRST + 2 * worker;
export const shopPort = (worker: number): number => demoPort(worker) + 1;
const at = (port: number) => `http://127.0.0.1:${port}`;
export const demoAddress = (worker: number): string => at(demoPort(worker));
export const shopAddress = (worker: number): string => at(shopPort(worker));
