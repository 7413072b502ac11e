/** Who works in the shop; what a role may do is decided by these. */
export const WORKING = ['owner', 'counter', 'bench'] as const;
/** Who may sign in: those, and `view`: a screen that faces the customer, which shows what is put on it and nothing else. */
export const ROLES = [...WORKING, 'view'] as const;
export type Role = (typeof ROLES)[number];
