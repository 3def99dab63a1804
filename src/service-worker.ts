/// <reference no-default-lib="true"/>
/// <reference lib="esnext" />
/// <reference lib="webworker" />
/// <reference types="@sveltejs/kit" />
import { build, files, version } from '$service-worker';
import {
  isGone,
  isKeptPage,
  isLetOut,
  isVisit,
  KEPT,
  KEPT_PAGES,
  PATIENCE_MS,
  pathsAbove,
  type WorkerOrder
} from '$lib/offline/rules';

/** Keeps what is needed to start without a network: the program itself, and the pages that were open on this device. */

const self = globalThis.self as unknown as ServiceWorkerGlobalScope;
const PROGRAM = `program-${version}`;
const PARTS = new Set([...build, ...files]);

self.addEventListener('install', (event) => {
  event.waitUntil(caches.open(PROGRAM).then((cache) => cache.addAll([...PARTS])));
});

self.addEventListener('activate', (event) => event.waitUntil(takeOver()));

/** Pages of an older program ask for parts that are gone: they are fetched anew, or left out. */
async function takeOver(): Promise<void> {
  for (const name of await caches.keys())
    if (name.startsWith('program-') && name !== PROGRAM) await caches.delete(name);
  const kept = await caches.open(KEPT_PAGES);
  const urls = (await kept.keys()).map((request) => request.url);
  await caches.delete(KEPT_PAGES);
  await self.clients.claim();
  await fetchPages(urls);
}

self.addEventListener('fetch', (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== 'GET' || url.origin !== self.location.origin) return;
  if (PARTS.has(url.pathname)) event.respondWith(part(request, url.pathname));
  else if (isVisit(url.pathname, request.mode)) event.respondWith(page(request));
});

self.addEventListener('message', (event) => {
  event.waitUntil(fetchPages((event.data as WorkerOrder).urls));
});

async function part(request: Request, path: string): Promise<Response> {
  return (await (await caches.open(PROGRAM)).match(path)) ?? fetch(request);
}

/** From the server while it answers in time; else as it was here last. */
async function page(request: Request): Promise<Response> {
  const pages = await caches.open(KEPT_PAGES);
  // Data of a page is asked for in parts; the whole does as well.
  const kept = (await pages.match(request.url)) ?? (await pages.match(request.url, { ignoreSearch: true }));
  const answer = fetch(request).then(async (response) => {
    await keep(request.url, response);
    return response;
  });
  if (!kept) return answer.catch((error: unknown) => nearest(pages, request, error));
  const late = new Promise<null>((done) => setTimeout(() => done(null), PATIENCE_MS));
  const first = await Promise.race([answer.catch(() => null), late]);
  // A server that says it is out of order is no better than none.
  return first && first.status < 500 ? first : kept;
}

/** What stands above a page that was never open here: its show, or the list of shows. */
async function nearest(pages: Cache, request: Request, error: unknown): Promise<Response> {
  const above = request.mode === 'navigate' ? pathsAbove(new URL(request.url).pathname) : [];
  for (const path of above) if (await pages.match(path)) return Response.redirect(path);
  throw error;
}

/** Keeps a page, or lets go of what must not be kept: whoever is let in no longer keeps nothing of the crew here either. */
async function keep(url: string, response: Response): Promise<void> {
  const pages = await caches.open(KEPT_PAGES);
  if (isKeptPage(response)) return pages.put(url, response.clone());
  if (isGone(response)) await pages.delete(url);
  if (isLetOut(response) && (await pages.match(url))) await Promise.all(KEPT.map((name) => caches.delete(name)));
}

async function fetchPages(urls: readonly string[]): Promise<void> {
  for (const url of urls) {
    // One after the other, and none where there is no network: this is never in anybody's way.
    const response = await fetch(url, { credentials: 'same-origin' }).catch(() => null);
    if (!response) return;
    await keep(new URL(url, self.location.origin).href, response);
  }
}
