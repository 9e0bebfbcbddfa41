import { type Browser, expect, type Page, test } from "@playwright/test";
import { comeInAs } from "./house";

// The last of the specs: it lets time go by in the post room, and the clock of the house with it.

async function personAt(browser: Browser, name: string, path: string): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await comeInAs(page, name, path);
  return page;
}

/** The post room, and two people at Sort. */
async function roomAndTwo(browser: Browser): Promise<{ room: Page; ines: Page; suki: Page }> {
  const room = await (await browser.newContext()).newPage();
  await room.goto("/post-room");
  return {
    room,
    ines: await personAt(browser, "Ines Valdarno", "/sort"),
    suki: await personAt(browser, "Suki Aldane", "/sort"),
  };
}

async function anHourGoesBy(room: Page): Promise<void> {
  const passed = room.waitForResponse(
    (one) => one.url().endsWith("/api/post-room") && one.request().method() === "POST",
  );
  await room.getByRole("button", { name: "Let an hour go by" }).click();
  await passed;
}

async function postAs(
  room: Page,
  who: string,
  subject: string,
  words: string,
  to = "hello@larkmoor.example",
): Promise<void> {
  await room.getByRole("combobox", { name: /^As/ }).selectOption({ label: who });
  await room.getByLabel("To", { exact: true }).fill(to);
  await room.getByLabel("Subject", { exact: true }).fill(subject);
  await room.getByLabel("Words", { exact: true }).fill(words);
  await room.getByRole("button", { name: "Post it" }).click();
  await expect(room.getByLabel("Subject", { exact: true })).toHaveValue("");
}

test("a letter arrives at two people, is kept and written back to; the answer stands on the task in both windows", async ({
  browser,
}) => {
  test.setTimeout(120_000);
  const { room, ines, suki } = await roomAndTwo(browser);

  await postAs(
    room,
    "Colm Hartnell · asks back",
    "Gate latch",
    "Hello,\n\nCould you send us the price of the gate latch by Friday?\n\nColm",
  );
  for (const page of [ines, suki])
    await expect(
      page.getByRole("list", { name: "To sort" }).getByRole("button", { name: /price of the gate latch/ }),
    ).toBeVisible();

  await ines
    .getByRole("list", { name: "To sort" })
    .getByRole("button", { name: /price of the gate latch/ })
    .click();
  await expect(ines.getByRole("heading", { name: "Gate latch", exact: true })).toBeVisible();
  await ines.getByRole("button", { name: /Keep it/ }).click();
  const kept = ines.getByText(/Kept as /);
  await expect(kept).toBeVisible();
  const [fruit, number] = /Kept as (\w+) (\d+)/.exec((await kept.textContent()) ?? "")!.slice(1);

  for (const page of [ines, suki]) await page.goto(`/tasks/${fruit}-${number}`);
  const sheet = (page: Page) => page.getByRole("region", { name: `Task ${fruit} ${number}` });
  await expect(sheet(suki)).toBeVisible();
  await expect(sheet(ines)).toBeVisible();
  await ines.keyboard.press("w");
  const letter = ines.getByRole("form", { name: "Your letter" });
  await expect(letter.getByLabel("To", { exact: true })).toHaveValue("Colm Hartnell <colm.hartnell@tidewell.example>");
  await expect(letter.getByLabel("Subject")).toHaveValue("Re: Gate latch");
  await letter.getByRole("textbox", { name: "Words of the letter" }).fill("Hello Colm, could you tell us which gate?");
  await ines.reload();
  await expect(sheet(ines)).toBeVisible();
  await ines.keyboard.press("w");
  await expect(letter.getByRole("textbox", { name: "Words of the letter" })).toHaveValue(/which gate/);
  await letter.getByRole("button", { name: "Send", exact: true }).click();
  await expect(sheet(suki).getByText(/Goes out in a few seconds/)).toBeVisible();

  await anHourGoesBy(room);
  await expect(room.getByText(/could you tell us which gate/)).toBeVisible();
  await expect(sheet(suki).getByText(/Goes out in a few seconds/)).toHaveCount(0);
  await anHourGoesBy(room);
  for (const page of [ines, suki])
    await expect(sheet(page).getByText("Colm Hartnell wrote again")).toBeVisible({ timeout: 20_000 });

  // The question that came back is in Sort again; a mere thanks is not.
  await ines.goto("/sort");
  await expect(ines.getByRole("heading", { name: "Gate latch", exact: true })).toBeVisible();
  await ines.getByRole("button", { name: /Nothing to do/ }).click();
  await expect(ines.getByRole("heading", { name: "Gate latch", exact: true })).toHaveCount(0);
  await ines.goto(`/tasks/${fruit}-${number}`);
  await expect(sheet(ines)).toBeVisible();
  await ines.keyboard.press("w");
  await letter.getByRole("textbox", { name: "Words of the letter" }).fill("The green one it is.");
  await letter.getByRole("button", { name: "Send, and done" }).click();
  await expect(sheet(ines).getByRole("button", { name: "State: done" })).toBeVisible();
  await anHourGoesBy(room);
  await expect(room.getByText("The green one it is.")).toBeVisible();
  await anHourGoesBy(room);
  await expect(sheet(ines).getByText(/Thanks, that is all I needed/)).toBeVisible({ timeout: 20_000 });
  await ines.goto("/sort");
  await expect(ines.getByRole("list", { name: "To sort" })).toBeVisible();
  await expect(ines.getByRole("heading", { name: "Gate latch", exact: true })).toHaveCount(0);
});

test("what lies in somebody's own mailbox comes to them alone, until it is put on a task", async ({ browser }) => {
  const { room, ines, suki } = await roomAndTwo(browser);
  await postAs(
    room,
    "Perpetua Nnadi · answers at once",
    "Between ourselves",
    "Dear Ines,\n\nCould you ring me about the fence by Thursday?\n\nPerpetua",
    "ines@larkmoor.example",
  );
  const row = (page: Page) =>
    page.getByRole("list", { name: "To sort" }).getByRole("button", { name: /Perpetua.*about the fence/ });
  const fence = (page: Page) => page.getByRole("list", { name: "To sort" }).getByRole("button", { name: /fence/ });
  await expect(fence(ines).first()).toBeVisible({ timeout: 90_000 });
  await fence(ines).first().click();
  await expect(ines.getByRole("heading", { name: "Between ourselves", exact: true })).toBeVisible();
  await suki.reload();
  await expect(suki.getByRole("list", { name: "To sort" })).toBeVisible();
  await expect(row(suki)).toHaveCount(0);
  await ines.goto("/mailboxes");
  await expect(ines.getByText("Ines’s own mailbox")).toBeVisible();
  await suki.goto("/mailboxes");
  await expect(suki.getByRole("heading", { level: 1 })).toBeVisible();
  await expect(suki.getByText("Ines’s own mailbox")).toHaveCount(0);
});

test("what one's own letter asks and promises stands below its words, and what is ticked is kept with it", async ({
  browser,
}) => {
  const page = await personAt(browser, "Ines Valdarno", "/write");
  const paper = page.getByRole("form", { name: "Your letter" });
  await paper.getByLabel("To", { exact: true }).fill("colm.hartnell@tidewell.example");
  await paper.getByLabel("To", { exact: true }).press("Tab");
  await paper.getByLabel("Subject", { exact: true }).fill("Sand for the pit");
  await paper
    .getByLabel("Words of the letter")
    .fill(
      "Dear Colm,\n\ncould you tell us where the sand may be tipped? I will ring the county about the road.\n\nInes",
    );
  const kept = paper.getByRole("group", { name: "Kept with it when it goes" });
  await expect(kept.getByRole("checkbox", { name: /Tell Ines where the sand may be tipped/ })).toBeChecked();
  await expect(kept).toContainText("you wait for Colm");
  await kept.getByRole("checkbox", { name: /Ring the county/ }).uncheck();
  await paper.getByRole("button", { name: "Send", exact: true }).click();
  await expect(page.getByText(/On its way in a few seconds/)).toBeVisible();
  await expect(paper.getByLabel("Words of the letter")).toHaveValue("");
  await page.getByRole("combobox", { name: /Find/ }).fill("sand may be tip");
  await page.getByRole("option", { name: /Tell Ines where the sand may be tipped/ }).click();
  const task = page.getByRole("region", { name: /^Task / });
  await expect(task).toContainText("Colm Hartnell");
  await expect(task).toContainText("kept it with a letter to");
  await page.getByRole("combobox", { name: /Find/ }).fill("ring the county about");
  await expect(page.getByRole("option", { name: /Ring the county about the road/ })).toHaveCount(0);
});

test("a supplier's promise is broken while three days go by, chased, answered with a new day, and kept", async ({
  browser,
}) => {
  test.setTimeout(200_000);
  const { room, ines, suki } = await roomAndTwo(browser);
  const hattie = (await room
    .getByRole("combobox", { name: /^As/ })
    .getByRole("option", { name: /Hattie Quill/ })
    .textContent())!;
  const aDayGoesBy = async () => {
    const passed = room.waitForResponse(
      (one) => one.url().endsWith("/api/post-room") && one.request().method() === "POST",
    );
    await room.getByRole("button", { name: "Let a day go by" }).click();
    await passed;
  };
  const fromHattie = (subject: string, words: string) =>
    postAs(room, hattie, subject, `Hello Ines,\n\n${words}\n\nHattie`);
  const list = (page: Page) => page.getByRole("list", { name: "To sort" });
  await fromHattie("Ladder rungs", "I will send you the ladder rungs tomorrow.");
  await list(ines)
    .getByRole("button", { name: /ladder rungs/i })
    .first()
    .click({ timeout: 20_000 });
  await expect(ines.getByRole("heading", { name: "Ladder rungs", exact: true })).toBeVisible();
  await ines.getByRole("button", { name: /Keep it/ }).click();
  await expect(ines.getByText(/Kept as /)).toBeVisible();
  const [, reference] = /Kept as (\w+ \d+)/.exec((await ines.getByText(/Kept as /).textContent()) ?? "")!;
  for (let day = 0; day < 3; day += 1) await aDayGoesBy();
  // Two people look at it; one of them chases.
  for (const page of [ines, suki]) {
    await page.goto("/waiting");
    await page.getByRole("button", { name: /^From whom/ }).click();
    await page.keyboard.type("hattie");
    await page.keyboard.press("Enter");
    await expect(page).toHaveURL(/person=/);
  }
  const row = (page: Page) =>
    page.getByRole("list", { name: "Waits" }).getByRole("listitem").filter({ hasText: reference! });
  await expect(row(ines)).toContainText("Letter ready");
  await row(ines).getByRole("button").click();
  const letter = ines.getByRole("article", { name: "Letter to Hattie Quill" });
  await expect(letter).toContainText("you wrote: “I will send you the ladder rungs tomorrow.”");
  await ines.getByRole("button", { name: "Good, next" }).click();
  await expect(ines.getByText(/in a few seconds\. Until then it can be taken back/)).toBeVisible();
  await expect(row(suki)).not.toContainText("Letter ready");
  await anHourGoesBy(room);
  await expect(room.getByText(/you wrote: “I will send you the ladder rungs tomorrow/).first()).toBeVisible();

  await fromHattie("Re: Ladder rungs", "Sorry, the ladder rungs will be with you on Friday 4 December instead.");
  await ines.goto("/sort");
  await list(ines)
    .getByRole("button", { name: /ladder rungs/i })
    .first()
    .click({ timeout: 20_000 });
  await expect(ines.getByRole("heading", { name: "Ladder rungs", exact: true })).toBeVisible();
  await ines.keyboard.press("Enter");
  const path = `/tasks/${reference!.replace(" ", "-")}`;
  await ines.goto(path);
  const sheet = ines.getByRole("region", { name: `Task ${reference}` });
  await expect(sheet).toContainText("Fri 4 Dec");

  await fromHattie("Re: Ladder rungs", "The ladder rungs are on the lorry, you have them this morning. Done.");
  await ines.goto("/sort");
  await list(ines)
    .getByRole("button", { name: /ladder rungs/i })
    .first()
    .click({ timeout: 20_000 });
  await expect(ines.getByRole("heading", { name: "Ladder rungs", exact: true })).toBeVisible();
  await ines.keyboard.press("Enter");
  await ines.goto(path);
  await expect(sheet.getByRole("button", { name: "State: done" })).toBeVisible();
  // All of it can be read in what happened.
  for (const words of [
    "kept it from the letter, to wait for Hattie Quill",
    "chased Hattie Quill",
    "moved the due date",
    "finished it",
  ])
    await expect(sheet.getByRole("region", { name: "What happened" })).toContainText(words);
});
