/** What the section of extras at the desk says. */
import type { TaxGroup } from '@/core/pricing/book';

/** The usual ones: what they are called on papers, and by which tax. */
export const USUAL_EXTRAS: readonly { readonly name: string; readonly taxGroup: TaxGroup; readonly outside?: true }[] =
  [
    { name: 'Engraved plate', taxGroup: 'goods' },
    { name: 'Hand finish', taxGroup: 'labour' },
    { name: 'Cleaning', taxGroup: 'labour' },
    { name: 'Retouching by a specialist', taxGroup: 'labour', outside: true },
    { name: 'Window cut elsewhere', taxGroup: 'goods', outside: true },
    { name: 'Delivery', taxGroup: 'delivery' },
    { name: 'Hanging at yours', taxGroup: 'labour' },
    { name: 'Card', taxGroup: 'goods' },
    { name: 'Gift wrapping', taxGroup: 'goods' },
  ];

export const EXTRAS = {
  count: 'One of so many alike',
  countSay: 'For the quantity break. Each is a piece of its own and charged by itself.',
  addAlike: (count: number) => (count === 1 ? 'Add the other one' : `Add the other ${count}`),
  rush: 'Sooner than usual',
  rushSay: (percent: string | undefined) =>
    percent
      ? `Costs ${percent} % more. The day promised stays as it is: choose it above.`
      : 'Costs nothing more by your price book, and the day promised stays as it is: choose it above.',
  alikeHere: (count: number, there: number) =>
    `${count} alike, and ${there === 1 ? 'one is' : `${there} are`} in this order so far.`,
  add: 'Add',
  usual: 'Add an extra',
  another: 'Another',
  name: 'Called',
  amount: 'Price',
  text: 'Text on it',
  who: 'Done by',
  cost: 'Costs us',
  margin: 'Margin, percent',
  days: 'Days it is away',
  elsewhere: 'Done elsewhere',
  takeOut: (name: string) => `Take out: ${name}`,
  tax: 'Taxed as',
} as const;
