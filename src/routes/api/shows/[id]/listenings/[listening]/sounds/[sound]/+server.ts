import { server as says } from '$core/words/server';
import { LISTENING_LIMITS } from '$lib/protocol/listenings';
import { found, idOf, numberOf } from '$lib/server/http';
import { soundOf, takePart } from '$lib/server/listenings';
import { error, json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

const soundNumber = (text: string): number => {
  if (!/^[0-5]$/.test(text)) error(404, says.thereIsNoSuchShowIt);
  return Number(text);
};

/** A sound of a set, streamed. */
export const GET: RequestHandler = async ({ params, locals }) => {
  const { crewId } = await locals.who();
  const stream = found(await soundOf(crewId, idOf(params.id), idOf(params.listening), soundNumber(params.sound)));
  return new Response(stream, { headers: { 'content-type': 'audio/wav', 'cache-control': 'private, max-age=86400' } });
};

/** Takes a part of a sound in. The first begins as a WAV file does. */
export const PUT: RequestHandler = async ({ request, params, url, locals }) => {
  const [part, last] = [numberOf(url, 'part'), url.searchParams.get('last') === 'yes'];
  const bytes = Buffer.from(await request.arrayBuffer());
  const whole = bytes.length > 0 && bytes.length <= LISTENING_LIMITS.part;
  if (!whole || (part === 0 && bytes.toString('latin1', 0, 4) !== 'RIFF')) error(415, says.noSoundPart);
  const { crewId } = await locals.who();
  const of = { sound: soundNumber(params.sound), part, last, bytes };
  found(await takePart(crewId, idOf(params.id), idOf(params.listening), of));
  return json({});
};
