import { Feed } from './feed';

/** Follows everything new of the crew, on a page that is of no show. @returns ends it */
export function followCrew(of: { open(feed: Feed): Promise<void>; close(): void }): () => void {
  const feed = new Feed('/api/live');
  void of.open(feed);
  feed.open();
  return () => {
    of.close();
    feed.close();
  };
}
