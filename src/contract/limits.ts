/** The longest list that is read, in bytes. */
export const LARGEST_LIST = 6_000_000;
