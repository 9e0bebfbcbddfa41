import type { MailboxSettings, MayWrite } from "../letters/ways";

/** A mailbox that is read, as its screen is told; instants are milliseconds since 1970 UTC. */
export interface MailboxView extends MailboxSettings {
  readonly id: string;
  readonly name: string;
  readonly isPersonal: boolean;
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
