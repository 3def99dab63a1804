import { server as says } from '$core/words/server';
import { PictureAskSchema } from '$lib/protocol/pictures';
import { askOf, found, idOf } from '$lib/server/http';
import { pictureAnswer, pictureFrom } from '$lib/server/picture-body';
import { dropPicture, pictureOf, takePicture } from '$lib/server/pictures';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ params, locals }) =>
  pictureAnswer(found(await pictureOf((await locals.who()).crewId, idOf(params.picture))));

/** Takes a picture of a place, an instrument or a thing in; sent twice it is there once. */
export const PUT: RequestHandler = async ({ request, params, url, locals }) => {
  const ask = askOf(url, PictureAskSchema);
  const made = { id: idOf(params.picture), ...(await pictureFrom(request)) };
  const not = await takePicture(await locals.who(), ask, made);
  if (not) error(400, says.tooManyOfThem(not.tooMany));
  return json({});
};

/** Takes it out. */
export const DELETE: RequestHandler = async ({ params, locals }) => {
  found(await dropPicture((await locals.who()).crewId, idOf(params.picture)));
  return json({});
};
