/** What roles are called. */
export const ROLE_NAMES = { owner: 'owner', counter: 'counter', bench: 'bench', view: 'screen' } as const;
