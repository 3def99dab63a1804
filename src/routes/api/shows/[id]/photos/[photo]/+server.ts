import { server as says } from '$core/words/server';
import { found, idOf } from '$lib/server/http';
import { isPicture, photoOf, takePhoto } from '$lib/server/photos';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** A picture that has been made smaller is well under this, bytes. */
const MOST = 900_000;
const LINE = /^[a-z0-9-]{1,40}$/;

export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const { type, bytes } = found(await photoOf(crewId, idOf(params.id), idOf(params.photo)));
  return new Response(new Uint8Array(bytes), {
    headers: { 'content-type': type, 'cache-control': 'private, max-age=31536000, immutable' }
  });
};

/** Takes a picture of a line in; sent twice it is there once. */
export const PUT: RequestHandler = async ({ request, params, url, locals }) => {
  const lineId = url.searchParams.get('line') ?? '';
  if (!LINE.test(lineId)) error(400, says.lineTheIdOfALine);
  const bytes = Buffer.from(await request.arrayBuffer());
  if (bytes.length > MOST) error(413, says.thatPictureIsTooLarge900);
  const type = request.headers.get('content-type') ?? '';
  if (!isPicture(type, bytes)) error(415, says.thatIsNoJpegPngOr);
  found(await takePhoto(await locals.who(), idOf(params.id), { id: idOf(params.photo), lineId, type, bytes }));
  return json({});
};
