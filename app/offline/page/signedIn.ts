const KEY = 'toile-signed-in';

/**
 * Whether somebody was signed in when this device last heard: a page then asks for what it shows at once. It
 * opens nothing; who is signed in the studio says.
 */
export function wasSignedIn(): boolean {
  try {
    return window.localStorage.getItem(KEY) !== null;
  } catch {
    // A device that keeps nothing.
    return false;
  }
}

/** Remembers on the device whether somebody is signed in. */
export function rememberSignedIn(signedIn: boolean): void {
  try {
    if (signedIn) window.localStorage.setItem(KEY, '');
    else window.localStorage.removeItem(KEY);
  } catch {
    // It is asked one after the other then.
  }
}
