import { originForOthers } from '$lib/server/origin';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ request }) => ({ originForOthers: originForOthers(request) });
