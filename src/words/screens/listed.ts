/** What a list to choose from says. */
export const LISTED = {
  choose: 'Choose',
  search: 'Search the list',
  nothing: 'Nothing of that name',
  gone: (code: string) => `${code}, no longer listed`,
} as const;
