import { server as says } from '$core/words/server';
import { kitFor } from '$core/advise/stock';
import { judgePlan } from '$core/judge/judge';
import { labelsOf } from '$core/paper/cables';
import { cardsOf } from '$core/paper/patch';
import { sheetOf } from '$core/paper/sheets';
import { type PaperInput, SHEET_IDS, type SheetId } from '$core/paper/types';
import type { Kit } from '$core/kit/schema';
import type { Plan } from '$core/plan/schema';
import { found, idOf } from '$lib/server/http';
import { crewKit } from '$lib/server/kit';
import { lastPrint } from '$lib/server/paper';
import { cardsPart, labelsPart, type Part, renderPaper, sheetPart } from '$lib/server/pdf';
import { originForOthers, originOf } from '$lib/server/origin';
import { getShow } from '$lib/server/shows';
import { error } from '@sveltejs/kit';
import * as z from 'zod';
import type { RequestHandler } from './$types';

const Query = z.object({
  sheet: z.enum([...SHEET_IDS, 'cards', 'labels', 'all']),
  size: z.enum(['A4', 'LETTER']),
  marks: z.enum(['yes', 'no'])
});

const inputOf = (plan: Plan, kit: Kit | null): PaperInput => ({
  plan,
  kit,
  reports: new Map(judgePlan(plan).map((r) => [r.id, r]))
});

/** A sheet of a show as PDF, as the show stands now. */
export const GET: RequestHandler = async ({ params, url, locals, request }) => {
  const asked = Query.safeParse({
    sheet: params.sheet.replace(/\.pdf$/, ''),
    size: url.searchParams.get('size') ?? 'A4',
    marks: url.searchParams.get('marks') ?? 'no'
  });
  if (!asked.success) error(404, says.thereIsNoSuchPaper(asked.error.issues[0].path.join('.')));
  const { sheet, size, marks } = asked.data;
  const { crewId } = await locals.who();
  const show = found(await getShow(crewId, idOf(params.id)));
  const input = inputOf(show.plan, kitFor(show.plan, await crewKit(crewId)));
  const last = marks === 'yes' ? await lastPrint(crewId, show.id) : null;
  const before = last ? inputOf(last.plan, last.kit) : undefined;
  const address = `${originForOthers(request) ?? originOf(request)}/show/${show.id}?line=`;
  const partOf = (what: SheetId | 'cards' | 'labels'): Part =>
    what === 'labels'
      ? labelsPart(labelsOf(input), address)
      : what === 'cards'
        ? cardsPart(cardsOf(input), sheetOf('boxes', input).note)
        : sheetPart(sheetOf(what, input, before), last?.revision ?? null);
  const parts = sheet === 'all' ? [...SHEET_IDS, 'cards' as const, 'labels' as const].map(partOf) : [partOf(sheet)];
  const pdf = await renderPaper(parts, { show: show.name, revision: show.revision, at: new Date(), size });
  const file = `${show.name} ${sheet}`.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return new Response(new Uint8Array(pdf), {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(file)}.pdf`
    }
  });
};
