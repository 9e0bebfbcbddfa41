import { ImapFlow } from "imapflow";
import { afterAll, beforeAll, expect, test } from "vitest";
import { emptyBox } from "./box";
import { ImapBox } from "./imap-box";
import { isInSet, literalAt, wordsOf } from "./imap-lines";

// The other end is imapflow, a published IMAP client: what it understands is IMAP.
const account = { user: "ines@house.example", password: "plum jam" };
const AT = Date.UTC(2026, 10, 24, 9);
const DAY = 86_400_000;
let kept = 0;
const box = new ImapBox(emptyBox(AT), account, () => {
  kept += 1;
});
let port: number;

const letter = (subject: string) =>
  Buffer.from(`From: ada@beech.example\r\nSubject: ${subject}\r\n\r\nTümpel, “${subject}”\r\n`);

async function connected(password = account.password): Promise<ImapFlow> {
  const client = new ImapFlow({
    host: "127.0.0.1",
    port,
    secure: false,
    auth: { user: account.user, pass: password },
    logger: false,
  });
  client.on("error", () => {});
  await client.connect();
  return client;
}

const lettersIn = ({ mailbox }: ImapFlow) => (mailbox ? mailbox.exists : null);

beforeAll(async () => {
  port = await box.open();
});
afterAll(() => box.close());

test("a wrong password does not come in", async () => {
  await expect(connected("quince")).rejects.toMatchObject({ authenticationFailed: true });
});

test("letters are found, fetched byte for byte, and marked; whoever waits hears of a new one", async () => {
  box.put(letter("one"), AT - 3 * DAY);
  box.put(letter("two"), AT);
  const client = await connected();
  expect((await client.list()).map((folder) => [folder.path, folder.specialUse])).toEqual([
    ["INBOX", "\\Inbox"],
    ["Sent", "\\Sent"],
  ]);
  await client.mailboxOpen("INBOX");
  expect(lettersIn(client)).toBe(2);
  expect(await client.search({ all: true }, { uid: true })).toEqual([1, 2]);
  expect(await client.search({ since: new Date(AT - DAY) }, { uid: true })).toEqual([2]);
  const two = await client.fetchOne("2", { source: true, flags: true, size: true }, { uid: true });
  expect(two).toMatchObject({ source: letter("two"), size: letter("two").length });
  const before = kept;
  await client.messageFlagsAdd("2", ["\\Seen", "kettle"], { uid: true });
  expect(kept).toBeGreaterThan(before);
  expect(await client.search({ keyword: "kettle" }, { uid: true })).toEqual([2]);
  expect(await client.search({ seen: false }, { uid: true })).toEqual([1]);
  await client.messageFlagsRemove("2", ["\\Seen"], { uid: true });
  expect(await client.search({ seen: false }, { uid: true })).toEqual([1, 2]);
  const heard = new Promise<number>((resolve) => client.on("exists", ({ count }) => resolve(count)));
  client.idle().catch(() => {});
  await new Promise((resolve) => setTimeout(resolve, 50));
  box.put(letter("three"), AT);
  expect(await heard).toBe(3);
  await client.logout();
});

test("a folder that is not there is refused, and the connection goes on", async () => {
  const client = await connected();
  await expect(client.mailboxOpen("Attic")).rejects.toThrow();
  await client.mailboxOpen("Sent");
  expect(lettersIn(client)).toBe(0);
  await client.logout();
});

test("lines are read as RFC 9051 writes them", () => {
  expect(wordsOf('a1 LOGIN "a \\"b\\"" (\\Seen x) 1:*')).toEqual(["a1", "LOGIN", 'a "b"', ["\\Seen", "x"], "1:*"]);
  expect(wordsOf("a1 ) (")).toEqual(["a1"]);
  expect(literalAt("a1 LOGIN {5}")).toEqual({ size: 5, isWaited: true });
  expect(literalAt("a1 LOGIN {5+}")).toEqual({ size: 5, isWaited: false });
  expect(literalAt("a1 NOOP")).toBeNull();
  // RFC 9051 section 9, sequence-set: "2,4:7,9,12:*" with 15 letters there.
  const inSet = Array.from({ length: 15 }, (_, i) => i + 1).filter((n) => isInSet("2,4:7,9,12:*", n, 15));
  expect(inSet).toEqual([2, 4, 5, 6, 7, 9, 12, 13, 14, 15]);
});
