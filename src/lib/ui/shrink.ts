/** The longer side of a picture that is kept, pixels: enough to read a plug and a knob. */
const MOST_PIXELS = 1280;
const QUALITY = 0.75;

/** A picture made small enough to be sent over a bad network: JPEG as a data URL. @throws when the file is no picture */
export async function shrink(file: Blob): Promise<string> {
  const image = await createImageBitmap(file);
  const scale = Math.min(1, MOST_PIXELS / Math.max(image.width, image.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, Math.round(image.width * scale));
  canvas.height = Math.max(1, Math.round(image.height * scale));
  canvas.getContext('2d')!.drawImage(image, 0, 0, canvas.width, canvas.height);
  image.close();
  return canvas.toDataURL('image/jpeg', QUALITY);
}

/** What a data URL holds. */
export const bytesOf = (data: string): Uint8Array<ArrayBuffer> =>
  Uint8Array.from(atob(data.slice(data.indexOf(',') + 1)), (c) => c.charCodeAt(0));
