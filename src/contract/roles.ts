/** Who somebody is in the shop. */
export const ROLES = ['owner', 'counter', 'bench'] as const;
export type Role = (typeof ROLES)[number];
