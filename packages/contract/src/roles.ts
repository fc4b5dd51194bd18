export const ROLES = ['owner', 'artist', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

/** What each role may do. An assistant works charts at the chair, and sees no contact data. */
export const MAY: Readonly<Record<'see' | 'seeContact' | 'work' | 'edit' | 'manage', readonly Role[]>> = {
  see: ROLES,
  work: ROLES,
  seeContact: ['owner', 'artist'],
  edit: ['owner', 'artist'],
  manage: ['owner'],
};
export type Permission = keyof typeof MAY;

/** Whether a role includes a permission. */
export function may(role: Role, permission: Permission): boolean {
  return MAY[permission].includes(role);
}
