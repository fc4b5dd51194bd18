import { useEffect } from 'react';

/** What a space bar chooses or turns, as the browser's own do; buttons have it already, links never do. */
const BY_SPACE: readonly string[] = ['radio', 'checkbox', 'switch', 'tab', 'option'];

/** Lets the space bar press whatever is chosen or turned: the toolkit's own parts answer Enter alone. */
export function useSpacePresses(): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { target } = event;
      if (event.key !== ' ' || event.ctrlKey || event.metaKey || event.altKey) return;
      if (!(target instanceof HTMLElement) || target instanceof HTMLInputElement) return;
      if (!BY_SPACE.includes(target.getAttribute('role') ?? '')) return;
      // Neither the page nor a screen's own keys take it as theirs; held down it presses once.
      event.preventDefault();
      event.stopPropagation();
      if (!event.repeat) target.click();
    };
    document.addEventListener('keydown', onKey, { capture: true });
    return () => document.removeEventListener('keydown', onKey, { capture: true });
  }, []);
}
