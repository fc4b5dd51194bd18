/** A text with its first letter large. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
