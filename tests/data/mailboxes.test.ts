import crypto from "node:crypto";
import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { addMailbox, revokeMailbox } from "@/acts/mailboxes";
import { perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { newId } from "@/data/ids";
import { draftOf, keepDraft, keepDraftFile } from "@/data/queries/drafts";
import { mailboxesFor, workstreamAddresses } from "@/data/queries/mailboxes";
import { rowsOf } from "@/data/rows";
import { project, projectMember, workstream } from "@/data/schema";
import { mailboxesToRead } from "@/post/imap/folder-state";
import { seal } from "@/post/imap/secret";
import { tryMailbox } from "@/post/imap/try-mailbox";
import { DovecotServer } from "../outside/dovecot";
import { ENGINES, NOW, type TestHouse, testHouse } from "./test-house";

const KEY = crypto.randomBytes(32);
const PORT = 3_993;

const wanted = (name: string, isPersonal: boolean) => ({
  name,
  isPersonal,
  host: "127.0.0.1",
  port: PORT,
  security: "none" as const,
  userName: "ines",
  secret: seal("plum", KEY),
  folder: "INBOX",
  sentFolder: null,
  since: null,
  mark: null,
  onDealt: "nothing" as const,
  moveTo: null,
});

describe.each(ENGINES)("mailboxes, addresses and drafts of a house, on %s", (engine) => {
  let house: TestHouse;
  let lead: string;
  beforeAll(async () => {
    house = await testHouse(engine);
    lead = (await addPerson(house.db, { name: "Lena Lead", address: "lena@house.example", isLead: true }))!;
  });
  afterAll(() => house.close());

  const names = async (personId: string) => (await mailboxesFor(house.db, { personId })).map((one) => one.name);
  const idOf = async (personId: string, name: string) =>
    (await mailboxesFor(house.db, { personId })).find((one) => one.name === name)!.id;

  test("a personal mailbox is known to its owner alone, a shared one to everybody; a name is given once", async () => {
    expect(await addMailbox(house.db, { personId: house.ines }, wanted("ines's own", true), NOW)).toBe(true);
    expect(await addMailbox(house.db, { personId: house.ines }, wanted("office", false), NOW)).toBe(true);
    expect(await addMailbox(house.db, { personId: house.suki }, wanted("office", true), NOW)).toBe(false);
    expect(await names(house.ines)).toEqual(["ines's own", "office"]);
    expect(await names(house.suki)).toEqual(["office"]);
    // Not even the sealed password goes to a screen.
    expect(JSON.stringify(await mailboxesFor(house.db, { personId: house.ines }))).not.toContain("secret");
  });

  test("whoever made it, whose it is, or a lead revokes it; then it is read no more and its password is gone", async () => {
    const office = await idOf(house.ines, "office");
    expect(await revokeMailbox(house.db, { personId: house.suki }, office)).toBe(false);
    expect((await mailboxesToRead(house.db)).map((one) => one.id)).toContain(office);
    expect(await revokeMailbox(house.db, { personId: lead }, office)).toBe(true);
    expect(await revokeMailbox(house.db, { personId: lead }, office)).toBe(false);
    expect((await mailboxesToRead(house.db)).map((one) => one.id)).not.toContain(office);
    const [row] = await rowsOf<{ secret: string }>(house.db, sql`select secret from mailbox where id = ${office}`);
    expect(row!.secret).toBe("");
    // The same mailbox can be connected anew under its name.
    expect(await addMailbox(house.db, { personId: house.suki }, wanted("office", false), NOW)).toBe(true);
  });

  test("addresses of a private project are for its members; who may write is changed and undone", async () => {
    const open = newId();
    const secret = newId();
    await house.db.insert(project).values([
      { id: open, name: "Open yard", words: [] },
      { id: secret, name: "Secret yard", isPrivate: true, words: [] },
    ]);
    await house.db.insert(projectMember).values({ projectId: secret, personId: house.suki });
    const fence = newId();
    await house.db.insert(workstream).values([
      { id: fence, projectId: open, name: "Fence", place: 1 },
      { id: newId(), projectId: secret, name: "Wall", place: 1 },
    ]);
    const addresses = async (personId: string) =>
      (await workstreamAddresses(house.db, { personId }, "in.house.example")).map(
        (one) => `${one.address} ${one.mayWrite}`,
      );
    expect(await addresses(house.ines)).toEqual(["open-yard.fence@in.house.example the team"]);
    expect(await addresses(house.suki)).toHaveLength(2);
    expect(await workstreamAddresses(house.db, { personId: house.ines }, null)).toEqual([]);
    const actor = { personId: house.ines, now: NOW };
    const change = { row: "workstream", id: fence, to: "anyone" };
    expect(await perform(house.db, actor, "may write", change)).toMatchObject({ ok: true });
    expect(await addresses(house.ines)).toEqual(["open-yard.fence@in.house.example anyone"]);
    expect(await perform(house.db, actor, "undo", { entryId: null })).toMatchObject({ ok: true });
    expect(await addresses(house.ines)).toEqual(["open-yard.fence@in.house.example the team"]);
    expect(await perform(house.db, actor, "may write", { ...change, to: "everybody" })).toMatchObject({ ok: false });
    expect(await perform(house.db, actor, "may write", { ...change, id: newId() })).toMatchObject({ ok: false });
  });

  test("a draft is its writer's alone, one for each thing it is about, and goes when it is thrown away", async () => {
    const [ines, suki] = [{ personId: house.ines }, { personId: house.suki }];
    await keepDraft(house.db, ines, "new letter", { text: "one" }, NOW);
    await keepDraft(house.db, ines, "new letter", { text: "two" }, NOW);
    expect(await draftOf(house.db, ines, "new letter")).toEqual({ text: "two" });
    expect(await draftOf(house.db, suki, "new letter")).toBeNull();
    await keepDraft(house.db, ines, "new letter", null, NOW);
    expect(await draftOf(house.db, ines, "new letter")).toBeNull();
  });

  test("a file goes along only with its own writer's letter, and too much of it is said", async () => {
    process.env.JAM_SMTP_OUT = "smtp://127.0.0.1:25";
    const file = (size: number) => ({ name: "plan.txt", type: "text/plain", bytes: Buffer.alloc(size, 97) });
    const mine = await keepDraftFile(house.db, { personId: house.ines }, file(10), NOW);
    const large = await keepDraftFile(house.db, { personId: house.ines }, file(19 * 1_048_576), NOW);
    const write = (personId: string, from: string, files: string[]) =>
      perform(house.db, { personId, now: NOW }, "write", {
        to: [{ name: "", address: "ada@beech.example" }],
        cc: [],
        subject: "Plan",
        text: "Here it is.",
        from,
        files,
        answersId: null,
        taskId: null,
        finishes: false,
        dealsWith: false,
      });
    expect(await write(house.suki, "suki@house.example", [mine])).toMatchObject({ ok: false });
    expect(await write(house.ines, "ines@house.example", [mine, large])).toMatchObject({
      ok: false,
      says: expect.stringContaining("19 MB together"),
    });
    expect(await write(house.ines, "ines@house.example", [mine])).toMatchObject({ ok: true });
    const [row] = await rowsOf<{ files: string[] }>(house.db, sql`select files from outgoing where subject = 'Plan'`);
    expect(row!.files).toEqual([mine]);
  });
});

describe("trying a mailbox before it is kept", () => {
  const server = new DovecotServer(PORT);
  beforeAll(() => server.start());
  afterAll(() => server.close());

  const tried = { ...wanted("x", true), password: "plum" };

  test("says in words what is wrong, and nothing where all is well", async () => {
    expect(await tryMailbox(tried)).toBeNull();
    expect(await tryMailbox({ ...tried, password: "pear" })).toContain("does not take the name and password");
    expect(await tryMailbox({ ...tried, folder: "Nowhere" })).toMatch(/no folder “Nowhere”; there are .*“INBOX”/);
    expect(await tryMailbox({ ...tried, onDealt: "move", moveTo: "Elsewhere" })).toContain("“Elsewhere”");
    expect(await tryMailbox({ ...tried, port: 1 })).toContain("takes no connection at port 1");
  });
});
