import { execFileSync } from "node:child_process";
import fs from "node:fs";
import net from "node:net";
import os from "node:os";
import path from "node:path";
import { sql } from "drizzle-orm";
import nodemailer from "nodemailer";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { addPerson } from "@/acts/set-up";
import { ownCertificate } from "@/cli/settings";
import { newId } from "@/data/ids";
import { conversationFor } from "@/data/queries/sort";
import { taskSheet } from "@/data/queries/tasks";
import { rowsOf } from "@/data/rows";
import { project, workstream } from "@/data/schema";
import { uncheckedSender } from "@/post/check-sender";
import { openSmtpDoor, type SmtpDoor } from "@/post/smtp-in";
import { NOW, type TestHouse, testHouse } from "./test-house";

let house: TestHouse;
let door: SmtpDoor;
let strict: SmtpDoor;
let task: { id: string; number: number; slug: string };

beforeAll(async () => {
  house = await testHouse("PGlite");
  const settings = { port: 0, domains: ["in.house.example"], tls: null, check: uncheckedSender };
  door = await openSmtpDoor(house.db, { ...settings, trustedPeers: ["127.0.0.1"] }, () => NOW);
  strict = await openSmtpDoor(house.db, { ...settings, trustedPeers: [] }, () => NOW);
  await addPerson(house.db, { name: "Lena Lead", address: "lena@house.example", isLead: true });
  const made = await perform(house.db, { personId: house.ines, now: NOW }, "make task", {
    title: "Swing chains",
    ownerId: house.ines,
    due: null,
    priority: "normal",
    projectId: null,
    workstreamId: null,
  });
  if (!made.ok) throw new Error(made.says);
  const [one] = made.made;
  task = { id: one!.id, slug: one!.slug, number: Number(one!.slug.split("-").at(-1)) };
  const projectId = newId();
  await house.db.insert(project).values({ id: projectId, name: "Harbour Green", words: [] });
  await house.db.insert(workstream).values({ id: newId(), projectId, name: "Safety file", place: 1 });
});
afterAll(async () => {
  await door.close();
  await strict.close();
  await house.close();
});

let count = 0;
async function post(from: string, to: string | string[], subject: string, text: string, by = door): Promise<string> {
  const transport = nodemailer.createTransport({ host: "127.0.0.1", port: by.port, ignoreTLS: true });
  count += 1;
  try {
    const sent = await transport.sendMail({
      from,
      to,
      subject,
      text,
      messageId: `<door-${count}@test.example>`,
      envelope: { from, to },
    });
    return sent.response;
  } catch (error) {
    return String((error as { response?: string }).response);
  } finally {
    transport.close();
  }
}

async function conversationNamed(subject: string) {
  const [row] = await rowsOf<{ id: string }>(
    house.db,
    sql`select conversation_id as id from letter where subject = ${subject}`,
  );
  return row ? conversationFor(house.db, { personId: house.ines }, row.id) : null;
}

test("a letter that goes round in a ring is refused (RFC 5321 section 6.3), a long way is not", async () => {
  const through = async (hops: number) => {
    const transport = nodemailer.createTransport({ host: "127.0.0.1", port: door.port, ignoreTLS: true });
    const received = "Received: from a.example by b.example; Mon, 23 Nov 2026 09:00:00 +0000\r\n".repeat(hops);
    const raw = `${received}From: ada@beech.example\r\nTo: hello@in.house.example\r\nSubject: ${hops} hops\r\n\r\nReceived: in the text counts not\r\n`;
    return transport
      .sendMail({ envelope: { from: "ada@beech.example", to: "hello@in.house.example" }, raw })
      .then(
        (sent) => sent.response,
        (error: { response?: string }) => String(error.response),
      )
      .finally(() => transport.close());
  };
  expect(await through(100)).toMatch(/^250 /);
  expect(await through(101)).toBe("554 5.4.6 This letter is going round in a ring");
  expect(await conversationNamed("101 hops")).toBeNull();
});

test("with a certificate a letter comes by STARTTLS (RFC 3207), and without one it is not offered", async () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), "jam-tls-"));
  const [cert, key] = [path.join(folder, "cert.pem"), path.join(folder, "key.pem")];
  execFileSync("openssl", [
    ...["req", "-x509", "-newkey", "rsa:2048", "-nodes", "-days", "2", "-subj", "/CN=in.house.example"],
    ...["-addext", "subjectAltName=DNS:in.house.example", "-keyout", key, "-out", cert],
  ]);
  const tls = ownCertificate({ NODE_ENV: "test", JAM_TLS_CERT: cert, JAM_TLS_KEY: key });
  const settings = { port: 0, domains: ["in.house.example"], check: uncheckedSender, trustedPeers: ["127.0.0.1"] };
  const sealed = await openSmtpDoor(house.db, { ...settings, tls }, () => NOW);
  const send = async (port: number) => {
    const transport = nodemailer.createTransport({
      host: "127.0.0.1",
      port,
      requireTLS: true,
      tls: { ca: fs.readFileSync(cert), servername: "in.house.example" },
    });
    return transport
      .sendMail({ from: "ada@beech.example", to: "hello@in.house.example", subject: "Under seal", text: "Hello" })
      .finally(() => transport.close());
  };
  try {
    expect((await send(sealed.port)).response).toMatch(/^250 /);
    expect(await conversationNamed("Under seal")).not.toBeNull();
    await expect(send(door.port)).rejects.toThrow(/STARTTLS/);
    expect(() => ownCertificate({ NODE_ENV: "test", JAM_TLS_CERT: cert })).toThrow(/belong together/);
  } finally {
    await sealed.close();
    fs.rmSync(folder, { recursive: true });
  }
});

/** Speaks SMTP by hand: what the server answers to each line. */
async function say(...lines: readonly string[]): Promise<string> {
  const socket = net.connect(door.port, "127.0.0.1");
  let heard = "";
  const hears = (pattern: RegExp) =>
    new Promise<void>((resolve) => {
      const look = () => {
        if (!pattern.test(heard)) return;
        socket.off("data", look);
        resolve();
      };
      socket.on("data", look);
      socket.once("close", () => resolve());
      look();
    });
  socket.on("data", (data) => {
    heard += data.toString();
  });
  await hears(/^220 /m);
  socket.write([...lines, "QUIT"].map((line) => `${line}\r\n`).join(""));
  await hears(/^221 /m);
  socket.destroy();
  return heard;
}

describe("the door for mail by SMTP", () => {
  test("offers SIZE, 8BITMIME, SMTPUTF8 and PIPELINING, and takes a whole dialogue in one write", async () => {
    const heard = await say("EHLO test.example", "MAIL FROM:<a@beech.example>", "RCPT TO:<hello@in.house.example>");
    for (const word of ["SIZE 52428800", "8BITMIME", "SMTPUTF8", "PIPELINING"]) expect(heard).toContain(word);
    expect(heard.match(/^250 /gm)?.length).toBeGreaterThanOrEqual(3);
    expect(heard).toMatch(/^221/m);
  });

  test("is never a relay, and refuses what is larger than 50 MB before it comes", async () => {
    expect(await post("a@beech.example", "b@elsewhere.example", "x", "x")).toMatch(/^550 5\.7\.1/);
    const heard = await say("EHLO test.example", "MAIL FROM:<a@beech.example> SIZE=99999999");
    expect(heard).toMatch(/^552/m);
  });

  test("a letter to two of us is one letter with both ways in", async () => {
    await addPerson(house.db, { name: "Oda In", address: "oda@in.house.example" });
    expect(
      await post("Ada <ada@beech.example>", ["hello@in.house.example", "oda@in.house.example"], "To two", "Hello"),
    ).toMatch(/^250/);
    const conversation = await conversationNamed("To two");
    expect(conversation?.letters).toHaveLength(1);
    expect([...(conversation?.letters[0]?.waysIn ?? [])].sort()).toEqual([
      "oda@in.house.example",
      "post to in.house.example",
    ]);
  });

  test("while the database is away the answer is to come again", async () => {
    const other = await testHouse("PGlite");
    const lost = await openSmtpDoor(
      other.db,
      { port: 0, domains: ["in.house.example"], tls: null, check: uncheckedSender, trustedPeers: [] },
      () => NOW,
    );
    await other.close();
    expect(await post("a@beech.example", "hello@in.house.example", "x", "x", lost)).toMatch(/^451 4\.3\.0/);
    await lost.close();
  });
});

describe("addresses of tasks and workstreams", () => {
  test("a member's letter to a workstream makes a task there: subject as title, text as passage", async () => {
    await post(
      "Suki <suki@house.example>",
      "harbour-green.safety-file@in.house.example",
      "Check the bolts",
      "All forty, please. The list is in the van.",
    );
    const [made] = await rowsOf<{ number: number }>(
      house.db,
      sql`select number from task where title = 'Check the bolts'`,
    );
    expect(await taskSheet(house.db, { personId: house.suki }, made!.number)).toMatchObject({
      workstream: "Safety file",
      task: { project: "Harbour Green", owner: null },
      passage: { words: "All forty, please. The list is in the van." },
    });
    expect((await conversationNamed("Check the bolts"))?.place).toBe("dealt with");
  });

  test("a stranger's letter to a workstream makes nothing by itself", async () => {
    await post(
      "zed@elm.example",
      "harbour-green.safety-file@in.house.example",
      "Buy my bolts",
      "Could you order my bolts today?",
    );
    expect(await rowsOf(house.db, sql`select 1 from task where title = 'Buy my bolts'`)).toEqual([]);
    expect(await conversationNamed("Buy my bolts")).toMatchObject({ place: "sort", slips: [{ state: "proposed" }] });
  });

  test("to a task's address: known people's letters stand on it, a stranger's waits in Sort with the task offered", async () => {
    const address = `${task.slug}@in.house.example`;
    await post("ada@beech.example", "hello@in.house.example", "First", "We have met now.");
    await post("ada@beech.example", address, "Chains have come", "They lie in the yard.");
    const sheet = await taskSheet(house.db, { personId: house.ines }, task.number);
    expect(sheet?.laterLetters).toMatchObject([{ begins: "They lie in the yard." }]);
    await post("stranger@oak.example", address, "I know about chains", "Ring me.");
    expect(await conversationNamed("I know about chains")).toMatchObject({
      place: "sort",
      offered: { id: task.id, title: "Swing chains" },
    });
    // The same known writer by a machine that nobody trusts: the name may be borrowed.
    await post("ada@beech.example", address, "Chains once more", "Really.", strict);
    expect(await conversationNamed("Chains once more")).toMatchObject({ place: "sort", offered: { id: task.id } });
    const conversation = (await conversationNamed("Chains once more"))!;
    expect(
      await perform(house.db, { personId: house.ines, now: NOW }, "join", {
        conversationId: conversation.id,
        taskId: task.id,
      }),
    ).toMatchObject({ ok: true });
    expect((await taskSheet(house.db, { personId: house.ines }, task.number))?.laterLetters).toHaveLength(2);
  });

  test("its owner answers a hand-over in words, where it is proved who writes; nobody else answers for them", async () => {
    const suki = house.suki;
    const made = await perform(house.db, { personId: house.ines, now: NOW }, "make task", {
      title: "Redraw the gate",
      ownerId: suki,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const slug = made.ok ? made.made[0]!.slug : "";
    const address = `${slug}@in.house.example`;
    const chain = async () =>
      (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!.task.chain;
    await post("suki@house.example", address, `Re: ${slug}`, "Yes, will do.", strict);
    await post("ada@beech.example", address, `Re: ${slug}`, "No, leave it.");
    expect(await chain()).toMatchObject([{ answer: "needs-action" }]);
    await post("suki@house.example", address, `Re: ${slug}`, "Which revision do you mean?");
    expect(await chain()).toMatchObject([{ answer: "needs-action", question: "Which revision do you mean?" }]);
    await post("suki@house.example", address, `Re: ${slug}`, "Ok, on it then.");
    expect(await chain()).toMatchObject([{ answer: "accepted", question: "" }]);
    await post("suki@house.example", address, `Re: ${slug}`, "Sorry, no room before Friday.");
    expect(await chain()).toMatchObject([{ answer: "declined", reason: "Sorry, no room before Friday." }]);
    // What is no answer becomes a note, of members alone, without what it quotes.
    await post(
      "ines@house.example",
      address,
      `Re: ${slug}`,
      "The old plan is in the blue folder.\n\n> Sorry, no room.",
    );
    await post("ines@house.example", address, `Re: ${slug}`, "Not proved.", strict);
    await post("ada@beech.example", address, `Re: ${slug}`, "I have it here.");
    const notes = (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!.comments;
    expect(notes.map((note) => note.text).sort()).toEqual([
      "The old plan is in the blue folder.",
      "Which revision do you mean?",
    ]);
  });

  test("a calendar program answers for its owner: accepted, declined with a comment; a stranger's and an old answer change nothing", async () => {
    const made = await perform(house.db, { personId: house.ines, now: NOW }, "make task", {
      title: "Measure the yard",
      ownerId: house.suki,
      due: null,
      priority: "normal",
      projectId: null,
      workstreamId: null,
    });
    const { id, slug } = made.ok ? made.made[0]! : { id: "", slug: "" };
    const chain = async () =>
      (await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))!.task.chain;
    const answer = async (
      from: string,
      attendee: string,
      partstat: string,
      more: string[] = [],
      by = door,
      method = "REPLY",
    ) => {
      const transport = nodemailer.createTransport({ host: "127.0.0.1", port: by.port, ignoreTLS: true });
      const content = [
        "BEGIN:VCALENDAR",
        "VERSION:2.0",
        "PRODID:-//x//EN",
        `METHOD:${method}`,
        "BEGIN:VTODO",
        `UID:${id}`,
        "DTSTAMP:20261124T120000Z",
        `ATTENDEE;PARTSTAT=${partstat}:mailto:${attendee}`,
        ...more,
        "END:VTODO",
        "END:VCALENDAR",
        "",
      ].join("\r\n");
      const icalEvent = { method, content };
      const subject = `${partstat} of ${attendee} by ${from}${by === strict ? ", unproved" : ""}`;
      await transport.sendMail({ from, to: `${slug}@in.house.example`, subject, text: "", icalEvent });
      transport.close();
    };
    const suki = "suki@house.example";
    await answer("ada@beech.example", suki, "ACCEPTED");
    await answer(suki, "ada@beech.example", "ACCEPTED");
    await answer(suki, suki, "ACCEPTED", [], strict);
    expect(await chain()).toMatchObject([{ answer: "needs-action" }]);
    await answer(suki, suki, "ACCEPTED");
    expect(await chain()).toMatchObject([{ answer: "accepted" }]);
    expect(await conversationNamed(`ACCEPTED of ${suki} by ${suki}`)).toMatchObject({ place: "dealt with" });
    await answer(suki, suki, "DECLINED", ["COMMENT:On the roof until Friday"]);
    expect(await chain()).toMatchObject([{ answer: "declined", reason: "On the roof until Friday" }]);
    await answer(suki, suki, "COMPLETED");
    expect((await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))?.task.state).toBe(
      "to begin",
    );
    // Given to them again a day later: what their program still says of the first hand-over is no answer to that.
    const again = { taskId: id, toIds: [house.suki], note: "" };
    await perform(house.db, { personId: house.ines, now: NOW + 86_400_000 }, "hand over", again);
    await answer(suki, suki, "ACCEPTED", ["SEQUENCE:0"]);
    expect(await chain()).toMatchObject([{ answer: "needs-action" }]);
    await answer(suki, suki, "DELEGATED", ["SEQUENCE:86400"]);
    expect(await chain()).toMatchObject([{ answer: "needs-action" }]);
    await answer(suki, suki, "NEEDS-ACTION", ["SEQUENCE:86400", "DUE;VALUE=DATE:20261204"], door, "COUNTER");
    expect(await chain()).toMatchObject([{ question: "Could it be due Fri 4 Dec instead?" }]);
    // Asked for again, the hand-over goes out once more, though it was seen and mailed.
    const given = sql`from notice where task_id = ${id} and what = 'given' order by at desc limit 1`;
    await house.db.execute(sql`update notice set seen_at = now(), mailed_at = now() where task_id = ${id}`);
    await answer(suki, suki, "NEEDS-ACTION", ["SEQUENCE:86400"], door, "REFRESH");
    expect(await rowsOf(house.db, sql`select seen_at as seen, mailed_at as mailed ${given}`)).toEqual([
      { seen: null, mailed: null },
    ]);
    await answer(suki, suki, "IN-PROCESS", ["SEQUENCE:86400", "PERCENT-COMPLETE:40"]);
    expect(await chain()).toMatchObject([{ answer: "accepted" }]);
    expect((await taskSheet(house.db, { personId: house.ines }, Number(slug.split("-")[1])))?.task).toMatchObject({
      state: "under way",
      percent: 40,
    });
  });

  test("a wrong fruit reaches no task", async () => {
    await post("ada@beech.example", `xylo-${task.number}@in.house.example`, "Wrong fruit", "Hm.");
    expect(await conversationNamed("Wrong fruit")).toMatchObject({ place: "sort", offered: null });
  });
});
