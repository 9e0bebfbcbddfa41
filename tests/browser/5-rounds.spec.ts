import { expect, test } from "@playwright/test";
import { comeInAs } from "./house";

test("a round begins with what came and what waits, is finished with its figures, and the day is closed and opened", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/sort");
  await page.getByRole("link", { name: "Jam Kettle: this round" }).click();
  const start = page.getByRole("region", { name: "This round" });
  await expect(start.getByRole("heading", { level: 1 })).toHaveText("Morning round");
  await expect(start.getByRole("list", { name: "To sort" }).getByRole("link").first()).toBeVisible();
  await expect(page.getByRole("region", { name: "What others owe you" })).toContainText("Promises broken");
  await page.getByRole("button", { name: "Finish the round" }).click();
  await expect(page.getByText("The round is finished.")).toBeVisible();
  await expect(page.getByRole("region", { name: "Earlier rounds" }).getByRole("row")).toHaveCount(2);
  await page.getByRole("button", { name: "Close the day" }).click();
  await expect(page.getByText(/Quiet until Wed 25 Nov, 08:00/)).toBeVisible();
  await page.reload();
  await page.getByRole("button", { name: "Open it again" }).click();
  await expect(page.getByRole("button", { name: "Close the day" })).toBeVisible();
  await start.getByRole("link", { name: "sort them" }).click();
  await expect(page).toHaveURL(/\/sort/);
});

test("who covers finds the work of who is away, acts in their place, and it says so; an absence is written in one line", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/cover");
  const cover = page.getByRole("region", { name: "You cover for Lotte Fairweather" });
  await cover.getByRole("link", { name: /Their tasks/ }).click();
  await expect(page.getByRole("button", { name: /^Whose/ })).toContainText("Lotte Fairweather’s tasks");
  const list = page.getByRole("list", { name: "Tasks by day" });
  await list
    .getByRole("button", { name: /Text for the information board/ })
    .first()
    .click();
  const sheet = page.getByRole("region", { name: /^Task / });
  await expect(sheet.getByRole("heading", { level: 2 })).toContainText("Text for the information board");
  await expect(sheet).toContainText("cover for Lotte Fairweather");
  await page.keyboard.press("d");
  await expect(sheet.getByRole("region", { name: "What happened" })).toContainText(
    "for Lotte Fairweather: finished it",
  );
  await page.keyboard.press("u");
  await expect(page.getByText("Undone.")).toBeVisible();

  await page.goto("/cover");
  await page.getByRole("button", { name: "I am away" }).click();
  const line = page.getByRole("textbox", { name: "When, and who covers" });
  await line.fill("14 december until 18 december, bea");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Kept. Have a good time.")).toBeVisible();
  const row = page
    .getByRole("list", { name: "Times away" })
    .getByRole("listitem")
    .filter({ hasText: "Bea Thornquist covers" });
  await expect(row).toContainText("from Mon 14 Dec");
  await row.getByRole("button", { name: "Call it off" }).click();
  await expect(page.getByText("Called off.")).toBeVisible();
});

test("several tasks are marked with a key, handed over in one line, and come back together with undo", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/tasks?whose=mine");
  const list = page.getByRole("list", { name: "Tasks by day" });
  await expect(list.getByRole("listitem").first()).toBeVisible();
  await page.keyboard.press("y");
  await page.keyboard.press("ArrowDown");
  await page.keyboard.press("y");
  const marked = page.getByRole("region", { name: "Marked tasks" });
  await expect(marked).toContainText("2 tasks marked");
  await marked.getByRole("button", { name: "Hand them over" }).click();
  await page.keyboard.type("bea next friday. While I am at the council.");
  await expect(marked).toContainText("Bea Thornquist");
  await expect(marked).toContainText("will own it");
  await page.keyboard.press("Enter");
  await expect(page.getByText("2 tasks are with Bea Thornquist.")).toBeVisible();
  await expect(marked).toHaveCount(0);
  await page.getByRole("button", { name: "Undo", exact: true }).first().click();
  await expect(page.getByText("Undone.")).toBeVisible();
});

test("letters leave by themselves unless they write first: planned in one line, shown in Waiting, and ended", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/waiting?from=outside");
  await page.getByRole("button", { name: "let it leave by itself later" }).click();
  await page.keyboard.type("thursday 9:00, every 3 days, three letters");
  await page.keyboard.press("Enter");
  await expect(page.getByText("Planned.")).toBeVisible();
  const row = page.getByRole("list", { name: "Waits" }).getByRole("listitem").filter({ hasText: "Letter Thu 26 Nov" });
  await row.getByRole("button").click();
  const card = page.getByRole("region", { name: /^Wait / });
  await expect(card).toContainText("then every 3 working days, 3 letters at the most");
  await card.getByRole("button", { name: "end the plan" }).click();
  await expect(page.getByText("No letter leaves by itself.")).toBeVisible();
});
