declare global {
  namespace App {
    interface Error {
      message: string;
      /** Under which the server's log has it. */
      id?: string;
    }
    interface Locals {
      who: { crewId: string; personId: string };
    }
  }
}

export {};
