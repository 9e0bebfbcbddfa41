import { expect, test } from "@playwright/test";
import { comeInAs } from "./house";

test("a new task from one plain line, and its values changed in place", async ({ page }) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  await page.keyboard.press("a");
  await page.getByRole("textbox", { name: /A new task/ }).fill("Ring the mason, for Bea by Thursday, high");
  await expect(page.getByText("Bea Thornquist", { exact: true })).toBeVisible();
  await page.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(page.getByText(/Made as /)).toBeVisible();
  const sheet = page.getByRole("region", { name: /^Task / });
  await expect(sheet.getByRole("heading", { name: "Ring the mason" })).toBeVisible();
  await expect(sheet).toContainText("Thu 26 Nov");
  await page.getByRole("textbox", { name: /A new task/ }).press("Escape");
  await sheet.getByRole("button", { name: /^Owner/ }).click();
  await page.keyboard.type("mair");
  await page.keyboard.press("Enter");
  await expect(sheet.getByRole("button", { name: "Owner: Mair Penhallow" })).toBeVisible();
  await sheet.getByRole("button", { name: /^State/ }).click();
  await page.keyboard.type("under");
  await page.keyboard.press("Enter");
  await expect(sheet.getByRole("button", { name: "State: under way" })).toBeVisible();
  await sheet.getByRole("textbox", { name: "Note for the team" }).fill("He is out until noon.");
  await page.reload();
  await expect(sheet.getByRole("textbox", { name: "Note for the team" })).toHaveValue("He is out until noon.");
  await sheet.getByRole("textbox", { name: "Note for the team" }).press("Enter");
  await expect(sheet.getByRole("listitem").filter({ hasText: "He is out until noon." })).toBeVisible();
  await expect(sheet.getByText("gave it to Mair Penhallow")).toBeVisible();
});

test("tasks stand under their days: over, today, coming days, no date", async ({ page }) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  const list = page.getByRole("list", { name: "Tasks by day" });
  await expect(list).toContainText("Over");
  await expect(list).toContainText("days over");
  await expect(list).toContainText("TodayTue 24 Nov");
  const box = list.locator("..");
  await box.evaluate((element) => element.scrollTo(0, element.scrollHeight));
  await expect(list).toContainText("No date");
  await page.getByRole("button", { name: /^Whose/ }).click();
  await page.keyboard.type("my");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/whose=mine/);
  await expect(list.getByRole("listitem").first()).toContainText("you");
  await page.getByRole("combobox", { name: /Find/ }).fill("kofi bra");
  await page.getByRole("option", { name: /kofi@larkmoor/ }).click();
  await expect(page).toHaveURL(/person=/);
  await expect(page.getByRole("button", { name: "Whose: Kofi Brandt’s tasks" })).toBeVisible();
  await expect(list.getByRole("listitem").filter({ hasText: "Kofi B." }).first()).toBeVisible();
  await page.getByRole("button", { name: /^Whose/ }).click();
  await page.keyboard.type("what others");
  await page.keyboard.press("Enter");
  await expect(list).toContainText("owed to us");
});

test("owner, due, priority and state are changed in the list itself, and undone", async ({ page }) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  const row = page
    .getByRole("list", { name: "Tasks by day" })
    .getByRole("listitem")
    .filter({ hasText: "Winter tyres" });
  // Only the rows near what is seen are drawn: the list is moved until the task is there, as a hand would.
  await page.getByRole("list", { name: "Tasks by day" }).hover();
  await expect(async () => {
    if ((await row.count()) === 0) await page.mouse.wheel(0, 200);
    await expect(row).toBeVisible({ timeout: 500 });
  }).toPass();
  const pick = async (word: RegExp, typed: string) => {
    // The list may be drawn anew at the moment of the click.
    await expect(async () => {
      await row.getByRole("button", { name: word }).click();
      await expect(page.locator("input:focus")).toBeVisible({ timeout: 2_000 });
    }).toPass();
    await page.keyboard.type(typed);
    await page.keyboard.press("Enter");
  };
  await pick(/^Owner: Oisin/, "bea");
  await expect(row.getByRole("button", { name: "Owner: Bea T." })).toBeVisible();
  await pick(/^Priority: high/, "top");
  await expect(row.getByRole("button", { name: "Priority: top priority" })).toBeVisible();
  await pick(/^State: not answered/, "under");
  await expect(row.getByRole("button", { name: "State: under way" })).toBeVisible();
  await pick(/^Due/, "in two weeks");
  await expect(row.getByRole("button", { name: /^Due: Tue 8 Dec/ })).toBeVisible();
  await expect(page.getByRole("region", { name: /^Task / })).toContainText(
    "moved the due date from Wed 25 Nov to Tue 8 Dec",
  );
  // A day that does not exist is said so, and stays in the field.
  await row.getByRole("button", { name: /^Due/ }).click();
  await page.keyboard.type("31 february");
  await page.keyboard.press("Enter");
  await expect(page.getByRole("textbox", { name: "Due" })).toHaveValue("31 february");
  await page.keyboard.press("Escape");
  for (let i = 0; i < 4; i += 1) {
    await page.keyboard.press("u");
    await expect(page.getByText("Undone.")).toBeVisible();
    await page.waitForTimeout(300);
  }
  await expect(row.getByRole("button", { name: "Owner: Oisin M." })).toBeVisible();
  await expect(row.getByRole("button", { name: "Priority: high priority" })).toBeVisible();
});

test("how long work takes is read in a new task's line, changed on its sheet by picking and by typing, and undone", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  await page.keyboard.press("a");
  const line = page.getByRole("textbox", { name: "A new task, in one line" });
  await line.fill("Measure the ramp, about half a day, for me");
  await expect(page.getByText("half a day", { exact: true })).toBeVisible();
  await line.press("Enter");
  await page.getByRole("list", { name: "Tasks by day" }).getByText("Measure the ramp").first().click();
  const sheet = page.getByRole("region", { name: /^Task / });
  await expect(sheet.getByRole("heading", { name: "Measure the ramp" })).toBeVisible();
  const takes = (words: string) => sheet.getByRole("button", { name: `How long it takes: ${words}`, exact: true });
  await takes("half a day").click();
  await page.keyboard.type("90 min");
  await page.keyboard.press("Enter");
  await expect(takes("1½ hours")).toBeVisible();
  await expect(sheet).toContainText("says it takes 1½ hours");
  await takes("1½ hours").click();
  await page.keyboard.type("not");
  await page.keyboard.press("Enter");
  await expect(takes("how long?")).toBeVisible();
  for (const words of ["1½ hours", "half a day"]) {
    await page.keyboard.press("u");
    await expect(takes(words)).toBeVisible();
  }
});

test("another person's change appears within two seconds, without a reload, and the second to save sees the first", async ({
  browser,
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  await page.keyboard.press("a");
  await page.getByRole("textbox", { name: /A new task/ }).fill("A task for two");
  await page.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(page.getByText(/Made as /)).toBeVisible();
  const path = new URL(page.url()).pathname;
  await page.getByRole("textbox", { name: /A new task/ }).press("Escape");
  const other = await (await browser.newContext()).newPage();
  await comeInAs(other, "Suki Aldane", path);
  await expect(other.getByRole("heading", { name: "A task for two" })).toBeVisible();
  await page
    .getByRole("region", { name: /^Task / })
    .getByRole("heading", { name: "A task for two" })
    .getByRole("button")
    .click();
  await page.getByRole("textbox", { name: "Title" }).fill("Ines was here");
  await other.getByRole("heading", { name: "A task for two" }).getByRole("button").click();
  await other.getByRole("textbox", { name: "Title" }).fill("Suki was here");
  await other.keyboard.press("Enter");
  await expect(other.getByRole("heading", { name: "Suki was here" })).toBeVisible();
  // The list of the first shows it soon, while her own words stay in the field.
  await expect(page.getByRole("list", { name: "Tasks by day" }).getByText("Suki was here")).toBeVisible({
    timeout: 2_000,
  });
  await expect(page.getByRole("textbox", { name: "Title" })).toHaveValue("Ines was here");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Suki Aldane changed the title to “Suki was here”")).toBeVisible();
  await expect(page.getByRole("textbox", { name: "Title" })).toHaveValue("Ines was here");
});

test("whoever has scrolled away from the row that is here stays where they look when others add tasks above it", async ({
  browser,
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  const list = page.getByRole("list", { name: "Tasks by day" });
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("ArrowDown");
  const box = list.locator("..");
  const height = () => list.evaluate((element) => element.clientHeight);
  await list.hover();
  await page.mouse.wheel(0, 900);
  await expect.poll(() => box.evaluate((element) => element.scrollTop)).toBe(900);
  const before = await height();
  const other = await (await browser.newContext()).newPage();
  await comeInAs(other, "Suki Aldane", "/tasks");
  await other.keyboard.press("a");
  await other.getByRole("textbox", { name: /A new task/ }).fill("Long since over 2 January 2026");
  await other.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(other.getByText(/Made as /)).toBeVisible();
  await expect.poll(height).toBeGreaterThan(before);
  expect(await box.evaluate((element) => element.scrollTop)).toBe(900);
  // The next key goes on from the row that is here, and brings it back into sight.
  await page.keyboard.press("ArrowDown");
  await expect.poll(() => box.evaluate((element) => element.scrollTop)).toBeLessThan(400);
});

test("a lost connection is said in a sentence, and what was typed is still there", async ({ page, context }) => {
  await comeInAs(page, "Ines Valdarno", "/tasks");
  await page.keyboard.press("a");
  const line = page.getByRole("textbox", { name: /A new task/ });
  await line.fill("Typed without a wire");
  await context.setOffline(true);
  await line.press("Enter");
  await expect(
    page.getByText(/The server cannot be reached\. What you typed is still here|The connection is lost/).first(),
  ).toBeVisible({ timeout: 15_000 });
  await expect(line).toHaveValue("Typed without a wire");
  await expect(page.getByText(/The server cannot be reached/)).toBeVisible({ timeout: 15_000 });
  await context.setOffline(false);
  await line.press("Enter");
  await expect(page.getByText(/Made as /)).toBeVisible({ timeout: 10_000 });
});

test("what came while a page was on its way, before it heard of changes, is there once it does", async ({
  page,
  browser,
}) => {
  await comeInAs(page, "Suki Aldane", "/tasks?whose=mine");
  let letThrough = () => {};
  const held = new Promise<void>((resolve) => {
    letThrough = resolve;
  });
  await page.route("**/api/live", async (route) => {
    await held;
    await route.continue();
  });
  await page.reload();
  const list = page.getByRole("list", { name: "Tasks by day" });
  await expect(list.getByRole("listitem").first()).toBeVisible();
  const other = await (await browser.newContext()).newPage();
  await comeInAs(other, "Ines Valdarno", "/tasks");
  await other.keyboard.press("a");
  await other.getByRole("textbox", { name: /A new task/ }).fill("Wax the bench, for Suki by today");
  await other.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(other.getByText(/Made as /)).toBeVisible();
  await expect(list).not.toContainText("Wax the bench");
  letThrough();
  // Nothing but the live connection asks anew; on a busy machine that takes its time.
  await expect(list).toContainText("Wax the bench", { timeout: 15_000 });
});
