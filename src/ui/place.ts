/** A place of the shop: its name and its address. */
export type Place = readonly [name: string, href: string];
