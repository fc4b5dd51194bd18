import { isDatabaseAway } from './connection';

const AGAIN_MS = 500;

/** Whether an error, or what it was made of, says that the database is away. */
function awayAtHeart(error: unknown): boolean {
  for (let one = error, depth = 0; depth < 5 && one !== undefined && one !== null; depth++) {
    if (isDatabaseAway(one)) return true;
    one = one instanceof Error ? one.cause : undefined;
  }
  return false;
}

/**
 * Does what needs the database as soon as it is there: while it starts or fails over it is tried again, for
 * `withinMs` at most. Throws what it met last, and at once what no waiting mends.
 */
export async function patiently<T>(
  work: () => Promise<T>,
  { withinMs, onWait }: { readonly withinMs: number; readonly onWait?: (error: unknown) => void },
): Promise<T> {
  const until = Date.now() + withinMs;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!awayAtHeart(error) || Date.now() + AGAIN_MS > until) throw error;
      onWait?.(error);
      await new Promise((resolve) => setTimeout(resolve, AGAIN_MS));
    }
  }
}
