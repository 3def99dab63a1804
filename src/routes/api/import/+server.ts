import { server as says } from '$core/words/server';
import { loadPlan } from '$core/plan/load';
import { loadFaultText } from '$core/words/faults';
import { bodyOf } from '$lib/server/http';
import { createShow } from '$lib/server/shows';
import { PlanFileSchema } from '$lib/protocol/shows';
import { json } from '@sveltejs/kit';
import type { RequestHandler } from './$types';

/** Takes a plan file in whole, or nothing of it: then every field that stands in the way is named. */
export const POST: RequestHandler = async ({ request, locals }) => {
  const { name, plan } = await bodyOf(request, PlanFileSchema);
  const loaded = loadPlan(plan);
  if (!loaded.ok)
    return json(
      { message: says.nothingWasImported, faults: loaded.faults.map((f) => says.plan(f.where, loadFaultText(f))) },
      { status: 422 }
    );
  return json({ id: await createShow((await locals.who()).crewId, name, loaded.plan), name }, { status: 201 });
};
