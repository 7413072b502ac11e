/** What Next tells a handler of its request, for handlers that are called without a server: one browser's cookies. */
const jar = new Map<string, string>();
let head = new Map<string, string>();

export const cookies = () =>
  Promise.resolve({
    get: (name: string) => (jar.has(name) ? { name, value: jar.get(name)! } : undefined),
    set: (name: string, value: string) => void jar.set(name, value),
    delete: (name: string) => void jar.delete(name),
  });
export const headers = () => Promise.resolve({ get: (name: string) => head.get(name.toLowerCase()) ?? null });

/** The headers that the next handler is told. */
export const arriving = (given: Readonly<Record<string, string>>) => {
  head = new Map(Object.entries(given).map(([name, value]) => [name.toLowerCase(), value]));
};
export const forgetCookies = () => jar.clear();
