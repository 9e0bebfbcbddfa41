import { ImapFlow } from "imapflow";
import { faultInWords } from "./fault-words";

/** How to reach a mailbox, as it was typed. */
export interface TriedMailbox {
  readonly host: string;
  readonly port: number;
  readonly security: "tls" | "starttls" | "none";
  readonly userName: string;
  readonly password: string;
  readonly folder: string;
  readonly sentFolder: string | null;
  readonly onDealt: "nothing" | "mark read" | "move";
  readonly moveTo: string | null;
}

/** Tries a mailbox once, and changes nothing there: what is wrong with it in words, or null where it can be read as wanted. */
export async function tryMailbox(tried: TriedMailbox): Promise<string | null> {
  const client = new ImapFlow({
    host: tried.host,
    port: tried.port,
    secure: tried.security === "tls",
    doSTARTTLS: tried.security === "starttls",
    auth: { user: tried.userName, pass: tried.password },
    logger: false,
    connectionTimeout: 10_000,
    greetingTimeout: 10_000,
  });
  client.on("error", () => {});
  try {
    await client.connect();
    const there = new Set((await client.list()).map((folder) => folder.path));
    for (const folder of [tried.folder, tried.sentFolder, tried.onDealt === "move" ? tried.moveTo : null])
      if (folder !== null && !there.has(folder))
        return `There is no folder “${folder}”; there are ${[...there]
          .slice(0, 12)
          .map((one) => `“${one}”`)
          .join(", ")}.`;
    return null;
  } catch (error) {
    return faultInWords(error, tried);
  } finally {
    client.close();
  }
}
