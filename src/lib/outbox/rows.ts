/** What is on its way to the server, row by row, as the browser keeps it. */
export interface Row {
  /** Whose it is and what it holds: `edits:SHOW`, `readings:SHOW`, `kit:CREW` … */
  readonly lane: string;
  readonly id: string;
  /** Rows of a lane go in this order. */
  readonly order: number;
  readonly item: unknown;
  /** Why it was set aside; null while it is on its way. */
  readonly aside: string | null;
}

/** Where rows are kept. Each promise ends once what it says is there to stay. */
export interface RowStore {
  load(lane: string): Promise<Row[]>;
  put(rows: readonly Row[]): Promise<void>;
  drop(lane: string, ids: readonly string[]): Promise<void>;
}

/** Lives as long as the page: for a browser that keeps nothing, and for tests. */
export class MemoryRows implements RowStore {
  readonly #rows = new Map<string, Row>();
  load(lane: string): Promise<Row[]> {
    const rows = [...this.#rows.values()].filter((r) => r.lane === lane);
    return Promise.resolve(structuredClone(rows.sort((a, b) => a.order - b.order)));
  }
  put(rows: readonly Row[]): Promise<void> {
    for (const row of rows) this.#rows.set(`${row.lane} ${row.id}`, structuredClone(row));
    return Promise.resolve();
  }
  drop(lane: string, ids: readonly string[]): Promise<void> {
    for (const id of ids) this.#rows.delete(`${lane} ${id}`);
    return Promise.resolve();
  }
}
