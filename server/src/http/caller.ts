import 'express-session';
import type { Role } from '@toile/contract';

/** Who asks: kept in the session at sign-in. */
export type Caller = {
  readonly accountId: string;
  readonly studioId: string;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
};

declare module 'express-session' {
  interface SessionData {
    caller?: Caller;
    /** When they signed in. */
    since?: string;
  }
}
