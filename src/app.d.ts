declare global {
  namespace App {
    interface Error {
      message: string;
      /** Under which the server's log has it. */
      id?: string;
    }
    interface Locals {
      /** Whose data this request may see; asked of the database on first use. */
      who: () => Promise<{ crewId: string; personId: string }>;
    }
  }
}

export {};
