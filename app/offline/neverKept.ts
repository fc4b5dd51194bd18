/**
 * Whether what is read at an address is never kept for when there is no network: files made for each asking,
 * a whole studio or client among them, photographs, what is told as it happens, what waits for a hand, and
 * whether there is a studio yet.
 */
export const neverKept = (pathname: string): boolean =>
  /\/(export|backup|data|print|labels|live|lesson|setup|team|audit|devices|erasures|intakes|calendar)$|\/photographs(\/|$)/.test(
    pathname,
  );
