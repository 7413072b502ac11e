/** Where the servers of the browser tests listen: a demo for each worker, and one empty shop, which one spec sets up. */
export const WORKERS = 3;
/** Answers when all of them do. */
export const READY_PORT = 3929;
export const SHOP_PORT = 3930;
export const demoPort = (worker: number): number => SHOP_PORT + 1 + worker;
const at = (port: number) => `http://127.0.0.1:${port}`;
export const demoAddress = (worker: number): string => at(demoPort(worker));
export const SHOP_ADDRESS = at(SHOP_PORT);
