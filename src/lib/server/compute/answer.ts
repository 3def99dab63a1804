import { server as says } from '$core/words/server';
import { error } from '@sveltejs/kit';
import { NotComputed } from './pool';

/** What a computation gives; where limits stand in its way, an answer that says which. */
export async function computed<T>(made: Promise<T>): Promise<T> {
  try {
    return await made;
  } catch (reason) {
    if (!(reason instanceof NotComputed)) throw reason;
    if (reason.reason === 'too-large') error(422, says.tooLargeToCompute);
    // 499: nobody reads it.
    error(reason.reason === 'busy' ? 503 : 499, says.manyAskAtOnce);
  }
}
