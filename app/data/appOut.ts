/** Which app the studio gives out now, against the one this page is. */
export type AppOut = 'same' | 'newer' | 'unreachable';

/** The script this page was begun with: its name changes with what is in it. */
const ownScript = (): string | null =>
  document.querySelector('script[src*="/entry-"]')?.getAttribute('src') ?? null;

/** Asks which app is given out: one that was open while another came has parts that are no more. */
export async function appOut(): Promise<AppOut> {
  try {
    const answer = await fetch('/index.html', { cache: 'no-store' });
    if (!answer.ok) return 'unreachable';
    const own = ownScript();
    return own === null || (await answer.text()).includes(own) ? 'same' : 'newer';
  } catch {
    return 'unreachable';
  }
}

/** Whether something failed since a part of the app could not be fetched. */
export const isUnfetched = ({ name, message }: Error): boolean =>
  name === 'AsyncRequireError' || /^Loading module .* failed|dynamically imported module/.test(message);

const RENEWED = 'toile-renewed';
/** A page that renewed itself does not so soon again, ms. */
const RENEWED_FOR_MS = 60_000;

/**
 * Opens the page anew where a newer app is out; all that was typed is kept on the device. Once a minute at
 * most: a page that cannot be renewed must not go round. Whether it does.
 */
export async function renewIfNewer(reload: () => void = () => window.location.reload()): Promise<boolean> {
  if ((await appOut()) !== 'newer') return false;
  const last = Number(sessionStorage.getItem(RENEWED) ?? 0);
  if (Date.now() - last < RENEWED_FOR_MS) return false;
  sessionStorage.setItem(RENEWED, String(Date.now()));
  reload();
  return true;
}
