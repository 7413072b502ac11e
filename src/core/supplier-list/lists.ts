/** The lists of the books that come in and go out as tables. */
import type { Backing, Glazing, SheetMaterial } from '../materials';
import { type ListKind } from './list';
import { type Listed, MOULDINGS } from './moulding-list';
import type { ListName } from './names';
import { BACKING_LIST, GLAZINGS, MATS } from './sheet-lists';

export interface ListItems {
  readonly mouldings: Listed;
  readonly mats: SheetMaterial;
  readonly glazings: Glazing;
  readonly backings: Backing;
}
export type AnyListed = ListItems[ListName];

const KINDS: { readonly [N in ListName]: ListKind<ListItems[N]> } = {
  mouldings: MOULDINGS,
  mats: MATS,
  glazings: GLAZINGS,
  backings: BACKING_LIST,
};
/** A list by its name, as reading, planning and writing take it: they only meet things of that list. */
export const listKind = (name: ListName) => KINDS[name] as unknown as ListKind<AnyListed>;
