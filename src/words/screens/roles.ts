/** What roles are called. */
export const ROLE_NAMES = { owner: 'owner', counter: 'counter', bench: 'bench' } as const;
