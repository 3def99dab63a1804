import { server as says } from '$core/words/server';
import { found, idOf } from '$lib/server/http';
import { photoOf, takePhoto } from '$lib/server/photos';
import { pictureAnswer, pictureFrom } from '$lib/server/picture-body';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

const LINE = /^[a-z0-9-]{1,40}$/;

export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  return pictureAnswer(found(await photoOf(crewId, idOf(params.id), idOf(params.photo))));
};

/** Takes a picture of a line in; sent twice it is there once. */
export const PUT: RequestHandler = async ({ request, params, url, locals }) => {
  const lineId = url.searchParams.get('line') ?? '';
  if (!LINE.test(lineId)) error(400, says.lineTheIdOfALine);
  const made = { id: idOf(params.photo), lineId, ...(await pictureFrom(request)) };
  found(await takePhoto(await locals.who(), idOf(params.id), made));
  return json({});
};
