/** Saves a text as a file on this device. */
export function saveFile(name: string, type: string, text: string): void {
  const href = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = href;
  link.download = name;
  link.click();
  // Revoked at once, some browsers save an empty file.
  setTimeout(() => URL.revokeObjectURL(href), 10_000);
}
