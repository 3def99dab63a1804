import type { PageServerLoad } from './$types';

/** The code is used by a button, not by opening the page: what looks ahead at links must not use it up. */
export const load: PageServerLoad = ({ params }) => ({ code: params.code });
