let known: string | null = null;
// A phone that was away may have travelled.
if (typeof document !== 'undefined') document.addEventListener('visibilitychange', () => (known = null));

/**
 * The time zone of this device. Asked for once while it is looked at: it takes as long as drawing a row does.
 */
export const deviceZone = (): string => (known ??= Intl.DateTimeFormat().resolvedOptions().timeZone);
