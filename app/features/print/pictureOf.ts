/** How many pixels a point of the sheet gets: a phone shows three for one. */
const PIXELS_PER_POINT = 3;

/**
 * A sheet at an address as a PNG, made here so that no other program is needed; its fonts travel within the
 * sheet.
 */
export async function pictureOf(address: string): Promise<string> {
  const answer = await fetch(address, { credentials: 'same-origin' });
  if (!answer.ok) throw new Error('The sheet could not be fetched. Is the network there?');
  const sheet = URL.createObjectURL(new Blob([await answer.text()], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    await new Promise<void>((resolve, reject) => {
      image.onload = () => resolve();
      image.onerror = () => reject(new Error('The sheet could not be drawn as a picture; take the PDF.'));
      image.src = sheet;
    });
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(image.width * PIXELS_PER_POINT * 0.75);
    canvas.height = Math.round(image.height * PIXELS_PER_POINT * 0.75);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
    if (!blob) throw new Error('The picture could not be made; take the PDF.');
    return URL.createObjectURL(blob);
  } finally {
    URL.revokeObjectURL(sheet);
  }
}
