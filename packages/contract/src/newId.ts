import { v7 } from 'uuid';

/** A UUIDv7: made where the thing is made, so that a write can be sent twice and land once. */
export const newId = (): string => v7();
