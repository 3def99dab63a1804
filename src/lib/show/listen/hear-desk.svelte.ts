import { listen as says } from '$core/words/screen/listen';
import { LEAST, MOST } from '$core/hear/fair';
import type { CameThrough } from '$core/hear/explain';
import { type SoundId, soundFor } from '$core/hear/sounds';
import type { InstrumentId } from '$core/gear/instruments';
import { modelAt, settingsAt } from '$core/plan/devices';
import { applyEdit } from '$core/plan/edit';
import { isComplete, type Line } from '$core/plan/lines';
import { resolve } from '$core/plan/resolved';
import type { Plan } from '$core/plan/schema';
import { Advising } from '$lib/show/compare/advising.svelte';
import { lineName } from '$lib/show/session/edits';
import type { Show } from '$lib/show/session/context';
import { candidatesOf, type Candidate } from './candidates';
import { FairPlayer } from './fair-player.svelte';
import { handedOver } from './handed';
import { Hearing } from './hearing.svelte';
import type { Bed, Heard, Played } from './hear.worker';
import { readRecording } from './read-recording';

interface Recorded {
  readonly name: string;
  readonly samples: Float32Array;
}

/** What is being listened to: which line, what is played, through which ways, and with what around it. */
export class HearDesk {
  readonly hearing = new Hearing();
  readonly player = new FairPlayer();
  /** Long searches of this page, one at a time. */
  readonly search = new Advising<readonly Candidate[]>();
  lineId = $state<string | null>(null);
  chosenSound = $state<SoundId | 'own' | null>(null);
  own = $state.raw<Recorded | null>(null);
  /** Key of what one's own recording was taken through; `nothing` where it is dry. */
  ownThrough = $state('nothing');
  noises = $state(true);
  amp = $state(false);
  mix = $state<'alone' | 'lines' | 'own'>('alone');
  bed = $state.raw<Recorded | null>(null);
  room = $state(false);
  takes = $state.raw<readonly Candidate[]>([]);
  /** Found for this line since it was chosen: what would fix it, other ways, its tolerance, what may be wrong. */
  found = $state.raw<readonly Candidate[]>([]);
  /** Keys of what is chosen, in the order in which it stands. */
  chosen = $state.raw<readonly string[]>(['dry', 'plan']);
  /** What was made ready, in the order of its letters; what was chosen since is not in it. */
  ready = $state.raw<readonly Candidate[]>([]);
  heard = $state.raw<readonly Heard[]>([]);
  #asked = '';

  constructor(readonly show: Show) {}

  readonly plan = $derived.by((): Plan => this.show.session.plan);
  readonly lines = $derived.by(() => resolve(this.plan).lines.filter((l) => isComplete(this.plan, l)));
  readonly line = $derived.by((): Line | null => this.lines.find((l) => l.id === this.lineId) ?? this.lines[0] ?? null);
  readonly sound = $derived.by((): SoundId | 'own' => this.chosenSound ?? this.soundOf(this.line));
  readonly offered = $derived.by(() => [...candidatesOf(this.plan, this.line), ...this.found, ...this.takes]);
  readonly picked = $derived.by(() => this.offered.filter((c) => this.chosen.includes(c.key)));
  readonly enough = $derived(this.picked.length >= LEAST && this.picked.length <= MOST);
  /** What a take or a recording may have come through. */
  readonly ways = $derived.by((): readonly { key: string; name: string; through: CameThrough }[] => [
    { key: 'nothing', name: says.dry, through: { kind: 'dry' } },
    ...this.offered.flatMap(({ key, name, through }) =>
      this.line && through.kind === 'line'
        ? [{ key, name, through: { kind: 'line' as const, lineId: this.line.id, ops: through.ops } }]
        : []
    ),
    ...this.lines
      .filter((l) => l !== this.line)
      .map((l) => ({
        key: `line ${l.id}`,
        name: lineName(l),
        through: { kind: 'line' as const, lineId: l.id, ops: [] }
      }))
  ]);

  soundOf(line: Line | null): SoundId {
    const source = line && settingsAt(this.plan, line.devices[0]);
    return soundFor((source?.instrument ?? null) as InstrumentId | null);
  }

  /** Takes a line up, with what another page has handed over for it. @param kind `tolerance` or `faults` to be heard from the start */
  async take(id: string | null, kind: string | null = null): Promise<void> {
    if (id !== null && id !== this.lineId) this.chosen = ['dry', 'plan'];
    this.lineId = id;
    const of = this.line;
    const judging = this.show.judging;
    if (!of || !judging || this.#asked === of.id) return;
    this.#asked = of.id;
    const handed = handedOver(this.show.id, of.id);
    this.found = handed;
    if (handed.length > 0) this.chosen = ['plan', ...handed.map((c) => c.key)].slice(0, MOST);
    if (kind === 'tolerance' || kind === 'faults') {
      await this.variants(kind);
      const some = this.found.filter((c) => c.key.startsWith(kind)).map((c) => c.key);
      this.chosen = ['plan', ...some].slice(0, MOST);
    }
    const remedies = await judging.remedies(this.plan, of.id, null);
    const { remedyCandidates } = await import('./remedy-candidates');
    if (this.#asked === of.id) this.#add(of, remedyCandidates(remedies));
  }
  /** Those that are not there yet. */
  #add(of: Line, some: readonly Candidate[]): void {
    if (this.line?.id !== of.id) return;
    const there = new Set(this.found.map((c) => c.key));
    this.found = [...this.found, ...some.filter((c) => !there.has(c.key))];
  }
  async otherWays(): Promise<void> {
    const of = this.line;
    if (!of) return;
    await this.search.run(async (api) => {
      const [{ routes }, { routeCandidates }] = await Promise.all([
        api.compare(this.plan, of.id, null),
        import('./remedy-candidates')
      ]);
      return routeCandidates(routes);
    });
    this.#add(of, this.search.result ?? []);
  }
  /** The line as dull and as bright as the spread of its pieces makes it, or as what may be wrong with it makes it. */
  async variants(kind: 'tolerance' | 'faults'): Promise<void> {
    const of = this.line;
    if (of) this.#add(of, (await this.hearing.variants(this.plan, of.id, kind)) ?? []);
  }

  toggle(key: string): void {
    this.chosen = this.chosen.includes(key) ? this.chosen.filter((k) => k !== key) : [...this.chosen, key];
  }
  addTake(name: string, samples: Float32Array): void {
    const key = `take ${this.takes.length} ${name}`;
    this.takes = [...this.takes, { key, name, through: { kind: 'take', samples } }];
    this.chosen = [...this.chosen.filter((k) => k !== 'dry' && k !== 'plan'), key];
  }
  /** @returns why not, of those that are no recordings */
  async takeFiles(files: Iterable<File>): Promise<string[]> {
    const not: string[] = [];
    for (const file of files) {
      const read = await readRecording(file, this.player.rate);
      if ('why' in read) not.push(read.why);
      else this.addTake(file.name, read.samples);
    }
    return not;
  }
  /** @returns why not */
  async takeRecording(file: File, as: 'own' | 'bed'): Promise<string | null> {
    const read = await readRecording(file, this.player.rate);
    if ('why' in read) return read.why;
    const it = { name: file.name, samples: read.samples };
    if (as === 'own') [this.own, this.chosenSound] = [it, 'own'];
    else [this.bed, this.mix] = [it, 'own'];
    return null;
  }

  #played(): Played {
    const { sound, own } = this;
    if (sound !== 'own') return { kind: 'made', id: sound };
    const through = this.ways.find((w) => w.key === this.ownThrough)?.through ?? { kind: 'dry' };
    return { kind: 'own', samples: own!.samples, through };
  }
  #bed(): Bed | null {
    if (this.mix === 'own' && this.bed) return { kind: 'own', samples: this.bed.samples };
    if (this.mix !== 'lines') return null;
    const others = this.lines.filter((l) => l !== this.line);
    return { kind: 'lines', lines: others.map((l) => ({ id: l.id, sound: this.soundOf(l) })) };
  }
  async makeReady(): Promise<void> {
    if (!this.line) return;
    this.player.pause();
    const all = this.picked;
    const made = await this.hearing.hear({
      ...{ plan: $state.snapshot(this.plan) as Plan, lineId: this.line.id, played: this.#played() },
      ...{ noises: this.noises, amp: this.amp, bed: this.#bed(), room: this.room, rate: this.player.rate },
      through: all.map((c) => c.through)
    });
    if (!made) return;
    [this.ready, this.heard] = [all, made];
    this.player.current = 0;
    this.player.load(made.map((h) => h.samples));
  }
  /** Class of the DI that a candidate goes through; null where it has none, or is a take. */
  boxOf({ through }: Candidate): string | null {
    if (through.kind !== 'line' || !this.line) return null;
    const edited = through.ops.length === 0 ? null : applyEdit(this.plan, { ops: [...through.ops] });
    if (edited && !edited.ok) return null;
    const plan = edited?.plan ?? this.plan;
    const line = resolve(plan).line(this.line.id);
    const box = line?.devices.find((id) => modelAt(plan, id).family === 'box');
    return box ? plan.devices[box].model : null;
  }
  close(): void {
    this.hearing.cancel();
    this.search.cancel();
    this.player.close();
  }
}
