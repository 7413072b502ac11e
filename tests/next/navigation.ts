/** Where screens went, for screens that are shown without Next. */
export const went: string[] = [];

const router = {
  push: (to: string) => void went.push(to),
  replace: (to: string) => void went.push(to),
  refresh: () => void went.push('refresh'),
  back: () => void went.push('back'),
  prefetch: () => undefined,
};
export const useRouter = () => router;
export const usePathname = () => went.filter((to) => to.startsWith('/')).at(-1) ?? '/';
export const useSearchParams = () => new URLSearchParams();
export const redirect = (to: string): never => {
  throw new Error(`redirected to ${to}`);
};
export const notFound = (): never => {
  throw new Error('not found');
};
