/** Pictures are kept no larger, in pixels each way. */
const LARGEST = 512;

/**
 * A picture as it is brought to the server: a photo is drawn anew, small and without anything else that was in its file;
 * a drawing goes as it is, to be made safe there. What the browser can't read goes as it is too: the server says why not.
 */
export async function smallPicture(file: Blob): Promise<Blob> {
  if (file.type === 'image/svg+xml') return file;
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    return file;
  }
  const share = Math.min(1, LARGEST / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(bitmap.width * share));
  canvas.height = Math.max(1, Math.round(bitmap.height * share));
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return new Promise((done) => canvas.toBlob((made) => done(made ?? file), 'image/png'));
}
