import type { MayWrite } from "../letters/ways";

/** A mailbox that is read, as its screen is told; instants are milliseconds since 1970 UTC. */
export interface MailboxView {
  readonly id: string;
  readonly name: string;
  readonly isPersonal: boolean;
  readonly host: string;
  readonly port: number;
  readonly security: "tls" | "starttls" | "none";
  readonly userName: string;
  readonly since: string | null;
  readonly mark: string | null;
  readonly onDealt: "nothing" | "mark read" | "move";
  readonly moveTo: string | null;
  readonly madeBy: string;
  readonly mayRevoke: boolean;
  readonly folders: readonly {
    readonly folder: string;
    readonly behind: number;
    readonly readAt: number | null;
    readonly says: string | null;
  }[];
}

/** The address of a workstream: letters to it make tasks there. */
export interface WorkstreamAddress {
  readonly id: string;
  readonly name: string;
  readonly project: string;
  readonly address: string;
  readonly mayWrite: MayWrite;
}
