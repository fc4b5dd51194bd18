/** Longer than this nobody waits for the device's store, ms: some browsers let opening it hang for good. */
const OPEN_MS = 3000;

/** What comes in time; rejects when it does not. */
export async function inTime<T>(coming: Promise<T>): Promise<T> {
  let tooLate: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    tooLate = setTimeout(() => reject(new Error('the store does not open')), OPEN_MS);
  });
  try {
    return await Promise.race([coming, late]);
  } finally {
    clearTimeout(tooLate);
  }
}
