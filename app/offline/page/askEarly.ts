import { rememberSignedIn, wasSignedIn } from './signedIn';

type Early = { readonly response: Promise<Response>; data?: unknown };

/**
 * Asks for what a page shows while its scripts are still on their way: one trip after another is longest
 * where the network is slowest. Taken from here, once, by app/data/early.ts; what fails is asked for again by
 * whoever wants it. So too the script of the screens that draw and compute, where one of them is what the
 * page shows. Where somebody was signed in last time all is asked at once; else who is signed in is waited
 * for.
 */
export function askEarly(scripts: { readonly work: string; readonly today: string }): void {
  const asked: Record<string, Early> = {};
  Object.assign(window, { toileEarly: asked });
  const ask = async (address: string): Promise<unknown> => {
    const early: Early = { response: fetch(address) };
    asked[address] = early;
    try {
      const answer = (await early.response).clone();
      if (answer.ok) early.data = (await answer.json()) as unknown;
    } catch {
      // Whoever wants it asks for it, and says why it cannot be had.
      delete asked[address];
    }
    return early.data;
  };
  const { pathname, search } = window.location;
  // Pages by a link show nothing of whoever is signed in on this device.
  if (/^\/(intake|wear|join)\/?$/.test(pathname)) return fetchAhead(scripts.work);
  const askForAll = (): void => {
    if (pathname === '/') fetchAhead(scripts.today);
    else if (!/^\/(clients|parties)\/?$/.test(pathname)) fetchAhead(scripts.work);
    for (const address of ['/api/settings', ...shownAt(pathname, search)]) void ask(address);
  };
  const likely = wasSignedIn();
  void ask('/api/session').then((signedIn) => {
    // Without an answer nothing is known of it.
    if (signedIn === undefined) return;
    rememberSignedIn(signedIn !== null);
    if (signedIn && !likely) askForAll();
  });
  if (likely) askForAll();
}

function fetchAhead(script: string): void {
  const link = document.createElement('link');
  Object.assign(link, { rel: 'preload', as: 'script', href: script });
  document.head.append(link);
}

/** What is shown at an address of the app besides who one is and how the studio tells things. */
function shownAt(pathname: string, search: string): readonly string[] {
  if (pathname === '/') {
    const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
    return [`/api/today?zone=${encodeURIComponent(timeZone)}`];
  }
  const [, chart] = /^\/charts\/([0-9a-f-]{36})\/?$/.exec(pathname) ?? [];
  return chart === undefined || search !== '' ? [] : [`/api/charts/${chart}`, '/api/kit'];
}
