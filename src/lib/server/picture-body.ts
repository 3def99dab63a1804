import { server as says } from '$core/words/server';
import { error } from '@sveltejs/kit';

/** A picture that has been made smaller is well under this, bytes. */
const MOST = 900_000;
/** What a picture begins with, by its type: what it says it is, it has to be. */
const BEGINS: Readonly<Record<string, (bytes: Buffer) => boolean>> = {
  'image/jpeg': (b) => b[0] === 0xff && b[1] === 0xd8 && b[2] === 0xff,
  'image/png': (b) => b.subarray(0, 8).equals(Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a])),
  'image/webp': (b) => b.toString('latin1', 0, 4) === 'RIFF' && b.toString('latin1', 8, 12) === 'WEBP'
};
const isPicture = (type: string, bytes: Buffer): boolean => Object.hasOwn(BEGINS, type) && BEGINS[type](bytes);

/** The picture that a request carries; 413 or 415 where it is none that is taken. */
export async function pictureFrom(request: Request): Promise<{ type: string; bytes: Buffer }> {
  const bytes = Buffer.from(await request.arrayBuffer());
  if (bytes.length > MOST) error(413, says.thatPictureIsTooLarge900);
  const type = request.headers.get('content-type') ?? '';
  if (!isPicture(type, bytes)) error(415, says.thatIsNoJpegPngOr);
  return { type, bytes };
}

/** A picture as an answer: what has an id never changes. */
export const pictureAnswer = ({ type, bytes }: { type: string; bytes: Buffer }): Response =>
  new Response(new Uint8Array(bytes), {
    headers: { 'content-type': type, 'cache-control': 'private, max-age=31536000, immutable' }
  });
