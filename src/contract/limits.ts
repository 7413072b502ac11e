/** The longest list that is read, in bytes. */
export const LARGEST_LIST = 2_000_000;
