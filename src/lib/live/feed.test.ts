import type { LiveEvent } from '$lib/protocol/live';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { CatchingUp } from './catching-up';
import { Feed } from './feed';

/** A stream as a browser has it. */
class Stream {
  static readonly OPEN = 1;
  static readonly CLOSED = 2;
  static readonly all: Stream[] = [];
  readyState = 0;
  readonly #heard = new Map<string, ((event: { data: string }) => void)[]>();
  constructor(readonly url: string) {
    Stream.all.push(this);
  }
  addEventListener(name: string, heard: (event: { data: string }) => void): void {
    this.#heard.set(name, [...(this.#heard.get(name) ?? []), heard]);
  }
  tell(name: string, data = ''): void {
    for (const heard of this.#heard.get(name) ?? []) heard({ data });
  }
  stands(): void {
    this.readyState = Stream.OPEN;
    this.tell('open');
  }
  ends(): void {
    this.readyState = Stream.CLOSED;
    this.tell('error');
  }
  close(): void {
    this.readyState = Stream.CLOSED;
  }
}
let visibility: 'visible' | 'hidden';
let changed: () => void;
beforeEach(() => {
  vi.useFakeTimers();
  Stream.all.length = 0;
  visibility = 'visible';
  vi.stubGlobal('EventSource', Stream);
  vi.stubGlobal('document', {
    get visibilityState() {
      return visibility;
    },
    addEventListener: (_: string, run: () => void) => (changed = run),
    removeEventListener: () => (changed = () => undefined)
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const SHOW = '00000000-0000-4000-8000-000000000001';
const edits = (revision: number): LiveEvent => ({ kind: 'edits', show: SHOW, revision });
const opened = (): Feed => {
  const feed = new Feed('/live');
  feed.open();
  return feed;
};
const see = (now: typeof visibility): void => {
  visibility = now;
  changed();
};

describe('the feed', () => {
  it('tells each kind to those who asked for it, until they end; what it does not know it passes over', () => {
    const feed = opened();
    const heard: number[] = [];
    const end = feed.on('edits', ({ revision }) => heard.push(revision));
    const [stream] = Stream.all;
    stream.tell('live', JSON.stringify(edits(3)));
    stream.tell('live', JSON.stringify({ kind: 'kit' }));
    stream.tell('live', JSON.stringify({ kind: 'tomorrow', show: SHOW }));
    stream.tell('live', JSON.stringify({ kind: 'edits', show: 'x', revision: 4 }));
    end();
    stream.tell('live', JSON.stringify(edits(5)));
    expect(heard).toEqual([3]);
  });
  it('says when it stands, each time, and at once to who comes while it does', () => {
    const feed = opened();
    let times = 0;
    const end = feed.onOpen(() => times++);
    Stream.all[0].stands();
    expect(times).toBe(1);
    feed.onOpen(() => (times += 10));
    expect(times).toBe(11);
    end();
    Stream.all[0].stands();
    expect(times).toBe(21);
  });
  it('comes back by itself when it was turned away, and not after it was closed', async () => {
    const feed = opened();
    Stream.all[0].ends();
    await vi.advanceTimersByTimeAsync(2999);
    expect(Stream.all).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(1);
    expect(Stream.all).toHaveLength(2);
    Stream.all[1].ends();
    feed.close();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(Stream.all).toHaveLength(2);
  });
  it('is let go in a tab that nobody sees, and taken up when it is seen again', async () => {
    opened();
    Stream.all[0].stands();
    see('hidden');
    await vi.advanceTimersByTimeAsync(9999);
    expect(Stream.all[0].readyState).toBe(Stream.OPEN);
    // A glance elsewhere is none.
    see('visible');
    await vi.advanceTimersByTimeAsync(60_000);
    expect([Stream.all.length, Stream.all[0].readyState]).toEqual([1, Stream.OPEN]);
    see('hidden');
    await vi.advanceTimersByTimeAsync(10_000);
    expect(Stream.all[0].readyState).toBe(Stream.CLOSED);
    see('visible');
    expect(Stream.all).toHaveLength(2);
  });
});

describe('catching up', () => {
  it('fetches one at a time, and once more for all that happened meanwhile', async () => {
    let [running, most, done] = [0, 0, 0];
    const catching = new CatchingUp(async () => {
      most = Math.max(most, ++running);
      await new Promise((resolve) => setTimeout(resolve, 100));
      running--;
      done++;
      if (done === 1) throw new Error('no network');
    });
    for (let k = 0; k < 5; k++) void catching.now();
    await vi.advanceTimersByTimeAsync(1000);
    expect([most, done]).toEqual([1, 2]);
    void catching.now();
    catching.close();
    void catching.now();
    await vi.advanceTimersByTimeAsync(1000);
    expect(done).toBe(3);
  });
});
