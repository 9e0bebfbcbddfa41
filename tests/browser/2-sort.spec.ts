import crypto from "node:crypto";
import fs from "node:fs";
import { expect, test } from "@playwright/test";
import { bringIn, comeInAs, isAwake, mailFile, openRow, rowHere } from "./house";

const LETTER = mailFile("bolts.eml", [
  "From: Dov Miller <dov@mill.example>",
  "To: ines@larkmoor.example",
  "Subject: Bolts for the bridge",
  "Message-ID: <bolts-1@mill.example>",
  "Date: Tue, 24 Nov 2026 10:58:00 +0200",
  "MIME-Version: 1.0",
  'Content-Type: multipart/mixed; boundary="b"',
  "",
  "--b",
  "Content-Type: text/plain; charset=utf-8",
  "",
  "Hello Ines,",
  "",
  "Could Kofi order forty bolts by Friday? Four of the last ones came cracked.",
  "",
  "Dov",
  "--b",
  "Content-Type: text/csv",
  'Content-Disposition: attachment; filename="../../bolts \u202evsc.csv"',
  "",
  "size,count",
  "M16,40",
  "--b--",
  "",
]);

test("a letter is brought in, kept, finished, undone, and saved byte for byte", async ({ page }) => {
  await comeInAs(page);
  expect(await bringIn(page, [LETTER])).toContain("1 new · 0 already here · 0 not readable");
  expect(await bringIn(page, [LETTER])).toContain("0 new · 1 already here");
  await openRow(page, /order forty bolts/i);
  await expect(page.getByRole("heading", { name: "Bolts for the bridge" })).toBeVisible();
  await expect(page.getByRole("article", { name: /Ask: Order forty bolts/ })).toContainText(/Kofi B/);
  await expect(page.getByRole("article", { name: /Trouble/ })).toBeVisible();
  // Two passages, each with its number beside the words.
  await expect(page.getByRole("img", { name: "ask 1" }).first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByText(/Kept as 2 tasks/)).toBeVisible();
  await page.getByRole("combobox", { name: /Find/ }).fill("forty bol");
  await page.getByRole("option", { name: /Order forty bolts/ }).click();
  await expect(page.getByRole("region", { name: /^Task / })).toContainText("Could Kofi order forty bolts by Friday?");
  await expect(
    page.getByRole("region", { name: /^Task / }).getByRole("button", { name: "State: to begin" }),
  ).toBeVisible();
  await page.keyboard.press("d");
  await expect(page.getByText(/is done\./)).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(
    page.getByRole("region", { name: /^Task / }).getByRole("button", { name: "State: to begin" }),
  ).toBeVisible();
  await page.getByRole("link", { name: "open the letter" }).click();
  await expect(page.locator('[data-passage="lit"]').first()).toContainText("Could");
  await expect(page.getByText(/08:58 here, Tue 24 Nov, 10:58 where it was written/).first()).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("link", { name: "Save as .eml" }).click(),
  ]);
  expect(Buffer.compare(fs.readFileSync(await download.path()), LETTER.buffer)).toBe(0);
  const [file] = await Promise.all([page.waitForEvent("download"), page.getByTitle(/^Save bolts/).click()]);
  expect(file.suggestedFilename()).toBe("bolts vsc.csv");
  expect(fs.readFileSync(await file.path(), "utf8")).toContain("M16,40");
});

test("the next letter is there at once: its words are asked for before they are needed", async ({ page }) => {
  const asked: string[] = [];
  page.on("request", (request) => {
    if (request.url().includes("/api/conversations/")) asked.push(request.url());
  });
  await comeInAs(page);
  await expect(rowHere(page)).toBeVisible();
  // How soon the page begins to ask is the machine's affair.
  await expect.poll(() => asked.length).toBeGreaterThan(0);
  await page.waitForTimeout(1_500);
  const subject = page.getByRole("region", { name: "The letter" }).getByRole("heading", { level: 2 });
  const first = (await subject.textContent())!;
  // From here on the server gives no letter any more: what is shown must be here already.
  await page.route(/\/api\/conversations\//, () => {});
  await page.keyboard.press("ArrowRight");
  await expect(subject).not.toHaveText(first);
  await expect(page.getByRole("region", { name: "The letter" }).getByRole("article").first()).toBeVisible();
  expect(new URL(page.url()).pathname.split("/")[2]).toMatch(/^[0-9a-f-]{36}$/);
  await page.unrouteAll({ behavior: "ignoreErrors" });
});

test("every value of a slip is changed in place by typing", async ({ page }) => {
  await comeInAs(page);
  await openRow(page, /Colm Hartnell\s*08:12/);
  const slip = page.getByRole("article", { name: /Ask: Send Colm the revised/ });
  await expect(slip).toContainText("Suki Aldane");
  await page.keyboard.press("o");
  await page.keyboard.type("ko");
  await page.keyboard.press("Enter");
  await expect(slip).toContainText(/Kofi B/);
  await page.keyboard.press("e");
  await page.keyboard.type("in two weeks");
  await expect(page.getByRole("status").filter({ hasText: "Tue 8 Dec" })).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(slip).toContainText("Tue 8 Dec");
  await expect(page.getByRole("textbox", { name: "Due" })).toBeHidden();
  await page.keyboard.press("e");
  await page.keyboard.type("30 feb");
  await expect(page.getByText("“30 feb” is not a day I know.")).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Due" })).toHaveValue("30 feb");
  await page.keyboard.press("Escape");
  await page.keyboard.press("r");
  await page.keyboard.type("to");
  await page.keyboard.press("Enter");
  await expect(slip.getByRole("img", { name: "top priority" })).toBeVisible();
  await page.keyboard.press("t");
  await page.getByRole("textbox", { name: "Title" }).fill("x".repeat(5_000));
  await page.keyboard.press("Enter");
  await expect(page.getByText(/5000 characters; 300 are the most/)).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Title" })).toHaveValue("x".repeat(5_000));
  await page.getByRole("textbox", { name: "Title" }).fill("Fall-height drawing to Colm");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("article", { name: /Ask: Fall-height drawing to Colm/ })).toBeVisible();
});

test("an answer is offered as a change to its task: moved by a click, finished by a key, and undone", async ({
  page,
}) => {
  await comeInAs(page);
  await openRow(page, /Another day: Proof of the opening notice/);
  const moved = page.getByRole("article", { name: /^Another day: Proof of the opening notice/ });
  await expect(moved).toContainText("Fri 27 Nov");
  await moved.getByRole("button", { name: "Move it" }).click();
  await expect(page.getByText(/has its new day\./)).toBeVisible();
  await page.getByRole("combobox", { name: /Find/ }).fill("proof of the opening");
  await page
    .getByRole("option", { name: /Proof of the opening notice/ })
    .first()
    .click();
  const task = page.getByRole("region", { name: /^Task / });
  await expect(task.getByRole("button", { name: /^Due: Fri 27 Nov/ })).toBeVisible();
  await expect(task).toContainText("as a letter says");

  await page.goto("/sort");
  await openRow(page, /Done: Price of the brass hinges/);
  await expect(page.getByRole("article", { name: /^Done: Price of the brass hinges/ })).toContainText(
    /finishes quince/,
  );
  await page.keyboard.press("Enter");
  await expect(page.getByText(/quince \d+ is done\./)).toBeVisible();
  await page.keyboard.press("u");
  await expect(page.getByText("Undone.")).toBeVisible();
  await expect(page.getByRole("article", { name: /^Done: Price of the brass hinges/ })).toBeVisible();
});

test("marked words and a typed line become slips; brushed off ones go, and undo brings them back", async ({ page }) => {
  await comeInAs(page);
  await openRow(page, /Colm Hartnell\s*08:12/);
  await expect(page.getByText("I have left them in the compound")).toBeVisible();
  await page.evaluate(() => {
    const walker = document.createTreeWalker(document.querySelector("[data-letter]")!, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const at = node.textContent?.indexOf("left them in the compound") ?? -1;
      if (at < 0) continue;
      document.getSelection()!.setBaseAndExtent(node, at, node, at + 25);
    }
  });
  await page.getByRole("button", { name: /Make a slip of “left them in the compound”/ }).click();
  const slip = page.getByRole("article", { name: "Ask: left them in the compound" });
  await expect(slip).toBeVisible();
  await page.getByRole("textbox", { name: "A task for this letter" }).fill("Book the marquee, for Lotte by friday");
  await page.reload();
  await expect(page.getByRole("textbox", { name: "A task for this letter" })).toHaveValue(
    "Book the marquee, for Lotte by friday",
  );
  await page.getByRole("textbox", { name: "A task for this letter" }).press("Enter");
  await expect(page.getByRole("article", { name: "Ask: Book the marquee" })).toContainText(/Lotte F/);
  await slip.click();
  await slip.getByRole("button", { name: "Brush off" }).click();
  await expect(slip).toBeHidden();
  await page.locator("body").click({ position: { x: 5, y: 400 } });
  await page.keyboard.press("u");
  await expect(slip).toBeVisible();
});

test("nothing to do moves a letter under Dealt with, where it says where it went, and back", async ({ page }) => {
  await comeInAs(page);
  await bringIn(page, [
    mailFile("quiet.eml", [
      "From: Dov Miller <dov@mill.example>",
      "To: ines@larkmoor.example",
      "Subject: A quiet word",
      "Message-ID: <quiet@mill.example>",
      "Date: Tue, 24 Nov 2026 11:10:00 +0000",
      "",
      "All is well here.",
      "",
    ]),
  ]);
  await openRow(page, /Nothing asked\s*Dov Miller/);
  await expect(page.getByRole("heading", { name: "A quiet word" })).toBeVisible();
  await page.keyboard.press("n");
  await expect(page.getByText("“A quiet word”: nothing to do.")).toBeVisible();
  await page.getByRole("button", { name: "Dealt with" }).click();
  const row = page
    .getByRole("list", { name: "Dealt with" })
    .getByRole("button", { name: /Nothing asked\s*Dov Miller/ })
    .first();
  await expect(row).toContainText("nothing to do · Ines");
  await row.click();
  await page.getByRole("button", { name: "Back to Sort" }).click();
  await expect(page.getByText("Back in Sort.")).toBeVisible();
});

test("files that are no mail are kept with the reason, and can be dealt with", async ({ page }) => {
  await comeInAs(page);
  const report = await bringIn(page, [
    {
      name: "picture.png",
      mimeType: "image/png",
      buffer: Buffer.concat([Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 0]), crypto.randomBytes(500)]),
    },
    { name: "empty.eml", mimeType: "message/rfc822", buffer: Buffer.alloc(0) },
  ]);
  expect(report).toContain("This is no mail: it does not begin with header lines. It is kept as it came");
  expect(report).toContain("empty");
  await openRow(page, /Cannot be read/);
  await expect(page.getByTitle("The file as it came")).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(page.getByText(/nothing to do\. It stays/)).toBeVisible();
});

test("an mbox is cut into its letters while it comes in", async ({ page }) => {
  await comeInAs(page);
  const one = (n: number) =>
    `From a@b.example Tue Nov 24 09:0${n}:00 2026\nFrom: Dov Miller <dov@mill.example>\nTo: ines@larkmoor.example\nSubject: Box ${n}\nMessage-ID: <box-${n}@mill.example>\nDate: Tue, 24 Nov 2026 09:0${n}:00 +0000\n\nNumber ${n}.\n\n`;
  expect(
    await bringIn(page, [
      { name: "box.mbox", mimeType: "application/mbox", buffer: Buffer.from([1, 2, 3, 4, 5].map(one).join("")) },
    ]),
  ).toContain("5 new");
});

test("ten letters are sorted with the keyboard alone, three key presses a letter at the most in the median", async ({
  page,
}) => {
  await comeInAs(page);
  const presses: number[] = [];
  for (let i = 0; i < 10; i += 1) {
    const before = await rowHere(page).textContent();
    await expect(page.getByRole("region", { name: "The letter" }).getByRole("article").first()).toBeVisible();
    let count = 0;
    // One letter in three has a slip that is no use: it is brushed off first.
    const hasTwo = /\d (?:asks|questions)|·/.test(before ?? "");
    if (i % 3 === 2 && hasTwo) {
      await page.keyboard.press("x");
      count += 1;
      await expect(page.getByText("Brushed off.")).toBeVisible();
    }
    await page.keyboard.press("Enter");
    count += 1;
    await expect(rowHere(page)).not.toHaveText(before ?? "");
    presses.push(count);
  }
  const median = presses.sort((a, b) => a - b)[5]!;
  expect(median).toBeLessThanOrEqual(3);
  await expect(page.getByRole("progressbar", { name: /Dealt with/ })).toHaveAttribute("aria-valuenow", /1\d/);
});

test("a slip says why it is there; brushed off, it is doubted in the next letter, until that is unlearnt", async ({
  page,
}) => {
  await comeInAs(page);
  const ask = (n: number) =>
    mailFile(`hut-${n}.eml`, [
      "From: Rowan Tell <rowan@hut.example>",
      "To: ines@larkmoor.example",
      `Subject: Hut ${n}`,
      `Message-ID: <hut-${n}@hut.example>`,
      `Date: Tue, 24 Nov 2026 1${n}:00:00 +0000`,
      "",
      "Could you paint the hut by Friday?",
    ]);
  await bringIn(page, [ask(0)]);
  await openRow(page, /Rowan Tell/);
  const slip = page.getByRole("article", { name: "Ask: Paint the hut" });
  await slip.getByRole("button", { name: "why?" }).click();
  await expect(slip).toContainText("Because: a polite request, it is written to Ines alone, “Friday”.");
  await page.keyboard.press("x");
  await expect(page.getByText("Brushed off.")).toBeVisible();

  await bringIn(page, [ask(1)]);
  await openRow(page, /Rowan Tell\s*11:00/);
  await expect(slip).toContainText("not sure");
  await page.goto("/learnt");
  await isAwake(page);
  const lesson = page.getByRole("region", { name: "Rowan Tell" });
  await expect(lesson).toContainText(
    "“could you paint the hut by friday?” is drawn as unsure: brushed off once, never kept.",
  );
  await lesson.getByRole("button", { name: "Unlearn" }).click();
  await expect(lesson.getByRole("button", { name: "Learn it again" })).toBeVisible();

  await page.goto("/sort");
  await bringIn(page, [ask(2)]);
  await openRow(page, /Rowan Tell\s*12:00/);
  await expect(slip).toBeVisible();
  await expect(slip).not.toContainText("not sure");
});

test("a slip that was taken for something else is set right by key, and the same words are read so from then on", async ({
  page,
}) => {
  await comeInAs(page);
  const letter = (n: number) =>
    mailFile(`loom-${n}.eml`, [
      "From: Willa Thread <willa@loom.example>",
      "To: ines@larkmoor.example",
      `Subject: Loom ${n}`,
      `Message-ID: <loom-${n}@loom.example>`,
      `Date: Tue, 24 Nov 2026 1${n}:00:00 +0000`,
      "",
      `Do you have the pattern for bench ${n + 3}?`,
    ]);
  await bringIn(page, [letter(0)]);
  await openRow(page, /Willa Thread/);
  await expect(page.getByRole("article", { name: /^Question: / })).toBeVisible();
  await page.keyboard.press("i");
  await page.getByRole("combobox", { name: "Kind" }).fill("pro");
  await page.keyboard.press("Enter");
  const promised = page.getByRole("article", { name: /^Promise: / });
  await expect(promised).toContainText("you wait for Willa");
  await promised.getByRole("button", { name: "Kind: Promise" }).click();
  await page.getByRole("option", { name: /^Ask/ }).click();
  const ask = page.getByRole("article", { name: /^Ask: / });
  await expect(ask).toContainText("give to somebody?");
  await page.keyboard.press("k");
  await expect(page.getByText(/^Kept/).first()).toBeVisible();

  await bringIn(page, [letter(1)]);
  await openRow(page, /Willa Thread\s*11:00/);
  await ask.getByRole("button", { name: "why?" }).click();
  await expect(ask).toContainText("Because: these words were set right before");
  await page.goto("/learnt");
  await isAwake(page);
  const lessons = page.getByRole("region", { name: "Willa Thread" });
  await expect(lessons).toContainText(
    "“do you have the pattern for bench #?” is an ask, not a question: set right once.",
  );
  await lessons.getByRole("button", { name: "Unlearn" }).click();
  await expect(lessons.getByRole("button", { name: "Learn it again" })).toBeVisible();
});

test("an answer that says it is done finishes the task that was asked for, in the same step as it goes", async ({
  page,
}) => {
  await comeInAs(page);
  await bringIn(page, [
    mailFile("weir.eml", [
      "From: Odo Weir <odo@weir.example>",
      "To: ines@larkmoor.example",
      "Subject: Sluice",
      "Message-ID: <sluice-1@weir.example>",
      "Date: Tue, 24 Nov 2026 10:00:00 +0000",
      "",
      "Could you send us the drawing of the sluice?",
    ]),
  ]);
  await openRow(page, /Odo Weir/);
  await expect(page.getByRole("article", { name: /^Ask: / })).toBeVisible();
  const conversation = page.url();
  await page.keyboard.press("k");
  const [, reference] = /Kept as (\w+ \d+)/.exec((await page.getByText(/Kept as /).textContent()) ?? "")!;
  await page.goto(conversation);
  await isAwake(page);
  await expect(page.getByRole("heading", { name: "Sluice", exact: true })).toBeVisible();
  await page.keyboard.press("w");
  const paper = page.getByRole("form", { name: "Your letter" });
  await paper.getByLabel("Words of the letter").fill("Dear Odo,\n\nI sent you the drawing this morning.\n\nInes");
  const kept = paper.getByRole("group", { name: "Kept with it when it goes" });
  await expect(kept.getByRole("checkbox", { name: /Done: Send Odo the drawing of the sluice/ })).toBeChecked();
  await expect(kept).toContainText("finishes the task");
  await paper.getByRole("button", { name: "Send", exact: true }).click();
  await expect(page.getByText(/On its way in a few seconds/)).toBeVisible();
  await page.goto(`/tasks/${reference!.replace(" ", "-")}`);
  await expect(page.getByRole("region", { name: /^Task / })).toContainText("and finished it");
});

test("a letter in another language says so, instead of slips that are wrong", async ({ page }) => {
  await comeInAs(page);
  await bringIn(page, [
    mailFile("brief.eml", [
      "From: Gesa Brandt <gesa@holzhof.example>",
      "To: ines@larkmoor.example",
      "Subject: Zeichnung",
      "Message-ID: <zeichnung@holzhof.example>",
      "Date: Tue, 24 Nov 2026 11:05:00 +0100",
      "",
      "Bitte senden Sie uns die Zeichnung bis Freitag, wir haben sie noch nicht und der Tischler wartet auf uns.",
    ]),
  ]);
  await openRow(page, /Gesa Brandt/);
  await expect(page.getByText("Not read for slips: it is in German.")).toBeVisible();
  await expect(page.getByRole("article", { name: /^Ask/ })).toHaveCount(0);
});
