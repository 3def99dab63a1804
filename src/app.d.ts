import type { Who } from '$lib/server/access';

declare global {
  namespace App {
    interface Error {
      message: string;
      /** Under which the server's log has it. */
      id?: string;
    }
    interface Locals {
      /** Whose data this request may see; asked of the database on first use. 401 for a stranger. */
      who: () => Promise<Who>;
      /** The same, and null for a stranger. */
      maybe: () => Promise<Who | null>;
      /** The same, asked anew: whether what was allowed still is. */
      again: () => Promise<Who | null>;
      /** The database was not there for what this request asked: the id of that in the log. */
      away?: string;
    }
  }
}

export {};
