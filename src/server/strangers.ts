/** All that somebody is shown who has not signed in; the table in `contract/access.ts` lists it. */
import { STAFF } from '@demo/people';
import { listStaff } from '@/db/queries/staff';
import { appContext } from './compose';

export interface SignInView {
  readonly shop: string;
  readonly people: readonly string[];
  /** Only in a demo that listens on its own machine only. */
  readonly demo: readonly { readonly name: string; readonly role: string; readonly pin: string }[];
}

/** Undefined while there is no shop. */
export async function signInView(): Promise<SignInView | undefined> {
  const app = await appContext();
  const books = await app.books();
  if (!books) return undefined;
  return {
    shop: books.shop.name,
    people: (await listStaff(app.db)).filter((one) => one.active).map((one) => one.name),
    demo:
      app.demo && process.env.LOPREN_HOST === undefined
        ? STAFF.map(({ name, role, pin }) => ({ name, role, pin }))
        : [],
  };
}

export const isSetUp = async (): Promise<boolean> => (await (await appContext()).books()) !== undefined;
