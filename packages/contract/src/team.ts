import { boolean, object, string, type InferType } from 'yup';
import { msg } from '@toile/core';
import { uuid } from './client';
import { ROLES, type Role } from './roles';
import { passwordField } from './setUp';
import { secretField } from './share';
import { text } from './text';

const nameField = () =>
  text()
    .required(() => msg`Write a name`)
    .max(120, () => msg`At most 120 letters`);
const roleField = () =>
  string()
    .oneOf([...ROLES], () => msg`Choose a role`)
    .required(() => msg`Choose a role`);
/** Days an invitation may be taken up in; a new password is asked for by link for one day only. */
export const INVITE_DAYS = { invite: 7, reset: 1 } as const;

/** Somebody is asked into the studio. The secret is made by whoever asks, and only its hash is kept. */
export const inviteInputSchema = object({
  id: uuid().required(),
  email: text()
    .required(() => msg`Write their email`)
    .email(() => msg`This is not an email address`)
    .max(200, () => msg`At most 200 letters`),
  name: nameField(),
  role: roleField(),
  secret: secretField(),
}).noUnknown('${unknown} is not known here');
export type InviteInput = InferType<typeof inviteInputSchema>;

/** A link for somebody of the team to choose a new password by. */
export const resetInputSchema = object({ id: uuid().required(), secret: secretField() }).noUnknown(
  '${unknown} is not known here',
);
export type ResetInput = InferType<typeof resetInputSchema>;

export const memberInputSchema = object({
  name: nameField(),
  role: roleField(),
  active: boolean().required(),
}).noUnknown('${unknown} is not known here');
export type MemberInput = InferType<typeof memberInputSchema>;

/** What stands in a link: which studio, and its secret. */
export const tokenOf = (studioId: string, secret: string): string => `${studioId}.${secret}`;

/** Where a link leads: its token stands behind the #, which no server and no log is sent. */
export const joinPath = (token: string): string => `/join#${token}`;

const tokenField = () =>
  string()
    .required(() => msg`The link is not whole`)
    .max(200, () => msg`At most 200 letters`);
export const openInviteSchema = object({ token: tokenField() }).noUnknown('${unknown} is not known here');
export type OpenInvite = InferType<typeof openInviteSchema>;
export const takeInviteSchema = object({
  token: tokenField(),
  name: nameField(),
  password: passwordField(),
}).noUnknown('${unknown} is not known here');
export type TakeInvite = InferType<typeof takeInviteSchema>;

/** Which of one's own sessions end: one, or all but this. */
export const endSessionsSchema = object({
  id: string().nullable().default(null).max(100),
}).noUnknown('${unknown} is not known here');
export type EndSessions = InferType<typeof endSessionsSchema>;

export type MemberAnswer = {
  readonly id: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly revision: number;
  /** Signs in nowhere since; null for who works here. */
  readonly deactivatedAt: string | null;
  readonly self: boolean;
};
export type InviteAnswer = {
  readonly id: string;
  readonly email: string;
  readonly name: string;
  readonly role: Role;
  /** A new password for somebody who is here already. */
  readonly reset: boolean;
  readonly madeBy: string;
  readonly expiresAt: string;
  readonly state: 'open' | 'used' | 'taken back' | 'ended';
};
export type TeamAnswer = {
  readonly members: readonly MemberAnswer[];
  /** Newest first; those that led nowhere are told for a while. */
  readonly invites: readonly InviteAnswer[];
};
/** What whoever holds a link is shown of it. */
export type OpenInviteAnswer = {
  readonly studio: string;
  readonly email: string;
  readonly name: string;
  readonly reset: boolean;
};
export type DeviceAnswer = {
  readonly id: string;
  /** The browser and its machine, as it names itself. */
  readonly device: string;
  readonly since: string | null;
  readonly lastUse: string;
  readonly here: boolean;
};
/** Lines of one answer; older ones are asked for by the last that was seen. */
export const AUDIT_PAGE = 100;
/** Who did what: one line of the record nobody can change. */
export type AuditLine = {
  readonly id: string;
  readonly at: string;
  readonly by: string | null;
  readonly accountId: string | null;
  /** The route that did it, by its name in the list of routes. */ readonly route: string;
  readonly subject: string | null;
};
