import crypto from "node:crypto";
import path from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { copyEmpty } from "../empty-databases";
import { jamIn, scratch } from "./jam";

const box = scratch();
const jam = jamIn(path.join(box.folder, "data"));
copyEmpty(path.join(box.folder, "data"));
afterAll(() => box.remove());

const letter = (n: number, body = "Hello.") =>
  `From: W <w@out.example>\r\nTo: ines@house.example\r\nSubject: Letter ${n}\r\nMessage-ID: <letter-${n}@out.example>\r\nDate: Tue, 24 Nov 2026 09:0${n}:00 +0000\r\n\r\n${body}\r\n`;
const sha = (text: string | Buffer) => crypto.createHash("sha256").update(text).digest("hex");
const kept = () =>
  jam
    .run(["letters", "--json"])
    .out.trim()
    .split("\n")
    .filter((line) => line !== "")
    .map(
      (line) =>
        JSON.parse(line) as {
          sha256: string;
          messageId: string | null;
          received: string;
          wayIn: string;
          waysIn: string[];
          place: string;
          unreadable: string | null;
        },
    );

describe("jam import and jam letters", () => {
  test("a file, an mbox, a Maildir and folders of them come in, each message once, with its own bytes", () => {
    box.write("mail/one.eml", letter(1));
    box.write(
      "mail/box.mbox",
      `From w@out.example Tue Nov 24 09:02:00 2026\n${letter(2)}\nFrom w@out.example Tue Nov 24 09:03:00 2026\n${letter(3)}\n`,
    );
    box.write("mail/Maildir/cur/1.host:2,S", letter(4));
    box.write("mail/Maildir/new/2.host", letter(5));
    box.write("mail/Maildir/tmp/3.host", letter(6, "unfinished"));
    box.write("mail/Maildir/dovecot.index", "no mail");
    box.write("mail/again.eml", letter(1));
    box.write("mail/notes.txt", "Shopping: plums, sugar.");
    const { code, out, err } = jam.run(["import", path.join(box.folder, "mail")]);
    expect(code).toBe(0);
    expect(err).toContain("5 new, 1 already here, 1 not readable");
    expect(out).toContain("notes.txt: This is no mail");
    const letters = kept();
    expect(letters.map((one) => one.sha256).sort()).toEqual([1, 2, 3, 4, 5].map((n) => sha(letter(n))).sort());
    for (const one of letters)
      expect(one).toMatchObject({
        wayIn: "import",
        waysIn: ["import"],
        place: "Sort",
        unreadable: null,
        received: expect.stringMatching(/^\d{4}-\d\d-\d\dT/),
      });
    expect(letters.map((one) => one.messageId).sort()).toEqual([1, 2, 3, 4, 5].map((n) => `letter-${n}@out.example`));
  });

  test("a second import brings nothing in twice, and says so", () => {
    const { err } = jam.run(["import", path.join(box.folder, "mail"), "--as", "second door"]);
    expect(err).toContain("0 new, 6 already here, 1 not readable");
    expect(kept()).toHaveLength(5);
    expect(kept()[0]?.waysIn).toEqual(["import", "second door"]);
  });

  test("a message that cannot be read is kept raw, with the reason", () => {
    const broken = Buffer.concat([Buffer.from([0, 1, 2, 3, 0, 0, 0]), crypto.randomBytes(200)]);
    const file = box.write("broken.eml", broken);
    const { out, err } = jam.run(["import", file]);
    expect(err).toContain("0 new, 0 already here, 1 not readable");
    expect(out).toContain("It is kept as it came, and waits in Sort.");
    expect(kept().find((one) => one.sha256 === sha(broken))).toMatchObject({
      place: "Sort",
      messageId: null,
      unreadable: expect.stringContaining("no mail"),
    });
  });

  test("wrong calls say what is wrong and change nothing", () => {
    expect(jam.run(["import"])).toMatchObject({ code: 2, err: expect.stringContaining("Say what to bring in") });
    expect(jam.run(["import", "/there/is/nothing"])).toMatchObject({
      code: 2,
      err: expect.stringContaining("Nothing was brought in"),
    });
    expect(jam.run(["import", box.folder, "--for", "nobody@x.example"])).toMatchObject({
      code: 2,
      err: expect.stringContaining("Nobody here has the address"),
    });
    expect(jam.run(["letters", "--bogus"]).code).toBe(2);
    expect(jam.run(["dance"])).toMatchObject({ code: 2, err: expect.stringContaining("There is no command “dance”") });
    expect(jam.run([])).toMatchObject({ code: 0, out: expect.stringContaining("jam import PATH") });
  });

  test("a member is added, and mail for them is theirs", () => {
    expect(
      jam.run(["person", "Kofi@house.example", "Kofi", "Brandt", "--work", "Buying"], "plum-jam-1\n"),
    ).toMatchObject({ code: 0, out: expect.stringContaining("Kofi Brandt is a member now") });
    expect(jam.run(["person", "kofi@house.example", "Kofi"], "\n")).toMatchObject({
      code: 2,
      err: expect.stringContaining("a member already"),
    });
    expect(jam.run(["person", "no-address", "X"], "\n").code).toBe(2);
    expect(jam.run(["person", "x@house.example", "X"], "short\n")).toMatchObject({
      code: 2,
      err: expect.stringContaining("8 characters"),
    });
    const file = box.write("own.eml", letter(7));
    expect(jam.run(["import", file, "--for", "kofi@house.example"]).code).toBe(0);
    expect(kept().find((one) => one.messageId === "letter-7@out.example")?.wayIn).toBe("kofi@house.example");
  });
});

describe("jam mail and jam threads", () => {
  const answer = (n: number, of: number) =>
    letter(n, `Thanks.\r\n\r\nOn Tue, 24 Nov 2026 at 09:01, W <w@out.example> wrote:\r\n> Hello.`)
      .replace("Subject: Letter", "Subject: Re: Letter")
      .replace("\r\nDate:", `\r\nReferences: <letter-${of}@out.example>\r\nDate:`);
  const lines = (words: readonly string[]) =>
    jam
      .run(words)
      .out.trim()
      .split("\n")
      .map((line) => JSON.parse(line) as Record<string, unknown>);

  test("say what is understood of each message, and bring nothing in", () => {
    const before = kept().length;
    box.write("look/one.eml", letter(1));
    box.write("look/deeper/two.eml", answer(2, 1));
    box.write("look/broken.eml", "this is no mail");
    box.write(
      "look/pair.mbox",
      `From w@out.example Tue Nov 24 09:02:00 2026\n${letter(3)}\nFrom w@out.example Tue Nov 24 09:03:00 2026\n${letter(4)}\n`,
    );
    const found = lines(["mail", "--json", path.join(box.folder, "look")]);
    expect(found).toHaveLength(5);
    expect(found.find((one) => one.messageId === "letter-2@out.example")).toMatchObject({
      file: path.join(box.folder, "look/deeper/two.eml"),
      from: { name: "W", address: "w@out.example" },
      to: [{ name: "", address: "ines@house.example" }],
      cc: [],
      date: "2026-11-24T09:02:00+00:00",
      subject: "Re: Letter 2",
      newText: "Thanks.",
      attachments: [],
      automatic: null,
      problems: [],
    });
    expect(found.find((one) => String(one.file).endsWith("broken.eml"))).toMatchObject({
      messageId: null,
      text: null,
      problems: [expect.stringContaining("no mail")],
    });
    expect(found.filter((one) => String(one.file).endsWith("pair.mbox")).map((one) => one.letter)).toEqual([1, 2]);
    expect(kept()).toHaveLength(before);
  });

  test("put together what belongs together, with paths below the folder", () => {
    const threads = lines(["threads", "--json", path.join(box.folder, "look")]);
    expect(threads).toContainEqual({
      messages: ["letter-1@out.example", "letter-2@out.example"],
      files: ["one.eml", "deeper/two.eml"],
      subject: "Letter 1",
    });
    expect(threads).toHaveLength(3);
  });

  test("without a path, or with one that is not there, they say so", () => {
    for (const name of ["mail", "threads"]) {
      expect(jam.run([name, "--json"])).toMatchObject({ code: 2, err: expect.stringContaining(`jam ${name}`) });
      expect(jam.run([name, "--json", "/nowhere"])).toMatchObject({
        code: 2,
        err: expect.stringContaining("/nowhere"),
      });
    }
  });
});

describe("jam serve", () => {
  const PORT = "3966";
  let server: ReturnType<typeof jam.start>;
  // A connection kept open would be closed by the server while a command blocks this process.
  const fetch = (url: string, init: RequestInit = {}) =>
    globalThis.fetch(url, { ...init, headers: { ...init.headers, connection: "close" } });
  const served = jamIn(path.join(box.folder, "served"), { PORT });
  beforeAll(async () => {
    server = served.start(["serve"]);
    await server.until("Jam Kettle is ready at http://localhost:3966");
  });

  test("an empty house asks to be set up, once", async () => {
    const home = await fetch(`http://localhost:${PORT}/sort`);
    expect(home.url).toContain("/set-up");
    const setUp = (body: unknown) =>
      fetch(`http://localhost:${PORT}/api/set-up`, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify(body),
      });
    const values = {
      organisation: "Crumb",
      zone: "Europe/Dublin",
      name: "Anna Rye",
      address: "anna@crumb.example",
      password: "plum-jam-1",
    };
    const wrong = await setUp({ ...values, zone: "Mars/Dome" });
    expect([wrong.status, (await wrong.json()).says]).toEqual([422, expect.stringContaining("zone is not known")]);
    expect((await setUp(values)).status).toBe(200);
    expect((await setUp(values)).status).toBe(409);
    const signedIn = await fetch(`http://localhost:${PORT}/api/auth/sign-in/email`, {
      method: "POST",
      headers: { "content-type": "application/json", origin: `http://localhost:${PORT}` },
      body: JSON.stringify({ email: "anna@crumb.example", password: "plum-jam-1" }),
    });
    expect(signedIn.status).toBe(200);
    expect((await fetch(`http://localhost:${PORT}/api/demo-sign-in`, { method: "POST", body: "{}" })).status).toBe(404);
  });

  test("mail comes in beside the running server", () => {
    const file = box.write("beside.eml", letter(8));
    expect(served.run(["import", file]).err).toContain("1 new");
    expect(served.run(["letters", "--json"]).out).toContain("letter-8@out.example");
  });

  test("a second server on the same folder, and one on a taken port, are refused in a sentence", () => {
    const second = served.run(["serve"]);
    expect(second).toMatchObject({
      code: 1,
      err: expect.stringMatching(/is in use by jam serve at port 3966 \(process \d+, since .*\)\. Stop that one first/),
    });
    const taken = jamIn(path.join(box.folder, "other"), { PORT }).run(["serve"]);
    expect(taken).toMatchObject({ code: 2, err: expect.stringContaining("Port 3966 is taken") });
  });

  test("pages carry a policy that loads nothing from elsewhere", async () => {
    const page = await fetch(`http://localhost:${PORT}/sign-in`);
    expect(page.headers.get("content-security-policy")).toContain("default-src 'self'");
    expect(page.headers.get("x-content-type-options")).toBe("nosniff");
    expect(await page.text()).not.toMatch(/https?:\/\/(?!localhost|www\.w3\.org)/);
  });

  test("SIGTERM stops it cleanly within five seconds, an open stream of news notwithstanding", async () => {
    const stream = await fetch(`http://localhost:${PORT}/api/live`).catch(() => null);
    const start = Date.now();
    server.child.kill("SIGTERM");
    expect(await server.ended).toBe(0);
    expect(Date.now() - start).toBeLessThan(5_000);
    expect(server.said().out).toContain("Stopping.");
    await stream?.body?.cancel().catch(() => {});
    // The folder is free again, with everything in it.
    expect(served.run(["letters", "--json"]).out).toContain("letter-8@out.example");
  });

  test("told to stop as soon as it says that it is ready, it closes everything all the same", async () => {
    const again = served.start(["serve"]);
    await again.until("is ready at");
    again.child.kill("SIGTERM");
    expect(await again.ended).toBe(0);
    expect(again.said().out).toContain("Stopping.");
  });
});

describe("jam read, jam follow and jam when", () => {
  const people = () =>
    box.write(
      "people.json",
      JSON.stringify({
        me: "ines@house.example",
        team: [{ name: "Ines Valdarno", email: "ines@house.example", role: "lead" }],
        outside: [{ name: "Wanda Oak", email: "w@out.example", organisation: "Out" }],
      }),
    );
  const dated = (n: number, from: string, to: string, body: string) =>
    `From: ${from}\r\nTo: ${to}\r\nSubject: ${n > 1 ? "Re: " : ""}Price\r\nMessage-ID: <p-${n}@out.example>\r\nDate: Tue, ${23 + n} Nov 2026 09:00:00 +0000\r\n\r\n${body}\r\n`;
  const objects = (out: string) =>
    out
      .trim()
      .split("\n")
      .map((line) => JSON.parse(line) as Record<string, unknown>);

  test("what a letter asks, with its exact words; a file that is no mail says so and stops nothing", () => {
    people();
    box.write(
      "ask/1.eml",
      dated(1, "w@out.example", "ines@house.example", "Dear Ines,\r\n\r\nCould you send us the price by Friday?"),
    );
    box.write("ask/2.eml", "");
    const { code, out } = jam.run([
      "read",
      "--json",
      "--people",
      path.join(box.folder, "people.json"),
      path.join(box.folder, "ask"),
    ]);
    expect(code).toBe(0);
    const [first, second] = objects(out);
    expect(first).toMatchObject({
      text: expect.stringContaining("Could you send us the price"),
      items: [
        {
          kind: "ask",
          quote: "Could you send us the price by Friday?",
          owner: "ines@house.example",
          due: "2026-11-27",
          priority: "normal",
          title: "Send Wanda the price",
          confidence: expect.any(Number),
        },
      ],
    });
    expect(second).toMatchObject({ items: [], problems: [expect.any(String)] });
  });

  test("a folder is one conversation in the order of its dates", () => {
    people();
    box.write("talk/b.eml", dated(2, "ines@house.example", "w@out.example", "The price will be with you on Monday."));
    box.write("talk/a.eml", dated(1, "w@out.example", "ines@house.example", "Could you send us the price by Friday?"));
    box.write("talk/c.eml", dated(3, "w@out.example", "ines@house.example", "Thanks."));
    const { code, out } = jam.run([
      "follow",
      "--json",
      "--people",
      path.join(box.folder, "people.json"),
      path.join(box.folder, "talk"),
    ]);
    expect(code).toBe(0);
    const letters = objects(out);
    expect(letters.map((one) => one.file)).toEqual(["talk/a.eml", "talk/b.eml", "talk/c.eml"]);
    expect(letters[0]).toMatchObject({ opens: [{ id: "1-1", kind: "ask", due: "2026-11-27" }], changes: [] });
    expect(letters[1]).toMatchObject({ opens: [], changes: [{ item: "1-1", change: "moved", due: "2026-11-30" }] });
    expect(letters[2]).toMatchObject({ opens: [], changes: [], problems: [] });
    box.write("talk/d.eml", "");
    const more = objects(jam.run(["follow", "--json", path.join(box.folder, "talk")]).out);
    expect(more.find((one) => one.file === "talk/d.eml")).toMatchObject({ problems: [expect.any(String)] });
  });

  test("days in words, counted from an instant where it is; what is no day says so", () => {
    const { code, out } = jam.run([
      ...["when", "--json", "--from", "2026-11-24T23:30:00-08:00"],
      ...["tomorrow", "3/4", "by half past nine on Friday", "Thursday, no, make it Monday", "soon"],
    ]);
    expect(code).toBe(0);
    expect(objects(out)).toMatchObject([
      { phrase: "tomorrow", date: "2026-11-25", zone: "-08:00" },
      { date: "2027-03-04", alternatives: ["2027-04-03"] },
      { date: "2026-11-27", time: "09:30" },
      { date: "2026-11-30" },
      { date: null, alternatives: [], reason: "no day is named" },
    ]);
    for (const wrong of [
      ["when", "soon"],
      ["when", "--from", "yesterday", "soon"],
      ["read"],
      ["follow"],
      ["read", "--people", "/nowhere.json", "x"],
    ])
      expect([wrong, jam.run(wrong).code]).toEqual([wrong, 2]);
  });
});
