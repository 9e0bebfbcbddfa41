import { expect, test } from "@playwright/test";
import { comeInAs } from "./house";

test("letters to those who owe us are looked over with the keys, one after the other, and can be taken back", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/waiting");
  const waits = page.getByRole("list", { name: "Waits" });
  await expect(waits.getByRole("listitem").first()).toContainText(/days of silence/);
  const ready = page.getByRole("region", { name: "Letters to look over" });
  await expect(ready.getByRole("heading", { level: 2 })).toHaveText(/^\d+ letters ready$/);
  const count = Number(/\d+/.exec((await ready.getByRole("heading", { level: 2 }).textContent()) ?? "")![0]);
  const open = ready.getByRole("article");
  const first = (await open.getAttribute("aria-label")) ?? "";
  await expect(open).toContainText(/you wrote: “|we asked you: “/);
  await page.keyboard.press("w");
  const words = open.getByRole("textbox", { name: "Words of the letter" });
  await words.fill("Dear Colm,\n\nhow far is the number?\n\nInes");
  await page.reload();
  await expect(open).toContainText("how far is the number?");
  await page.keyboard.press("Enter");
  await expect(page.getByText(/in a few seconds\. Until then it can be taken back/)).toBeVisible();
  await expect(ready.getByRole("heading", { level: 2 })).toHaveText(`${count - 1} letters ready`);
  await expect(ready).toContainText(`1 of ${count} looked over`);
  await page.keyboard.press("u");
  await expect(ready.getByRole("heading", { level: 2 })).toHaveText(`${count} letters ready`);
  await page.goto("/waiting");
  await expect(open).toHaveAttribute("aria-label", first);
  await page.keyboard.press("l");
  await expect(ready.getByRole("heading", { level: 2 })).toHaveText(`${count - 1} letters ready`);
  await expect(open).not.toHaveAttribute("aria-label", `${first} `);
});

test("a call is noted in one line with the day they named, and a wait is written by hand", async ({ page }) => {
  await comeInAs(page, "Ines Valdarno", "/waiting?from=outside");
  await page.getByRole("button", { name: "New wait" }).click();
  const line = page.getByRole("textbox", { name: /A new wait/ });
  await line.fill("Colm: key of the compound by Thursday");
  await expect(page.getByText("Key of the compound", { exact: true })).toBeVisible();
  await line.press("Enter");
  await expect(page.getByText(/Waited for as /)).toBeVisible();
  const card = page.getByRole("region", { name: /^Wait / });
  await expect(card).toContainText("Key of the compound");
  await page.keyboard.press("c");
  const call = page.getByRole("textbox", { name: "How the call went" });
  await call.fill("rang, no answer");
  await expect(card).toContainText("the silence goes on");
  await call.fill("brings it on the 3rd");
  await expect(card).toContainText("Thu 3 Dec");
  await call.press("Enter");
  await expect(page.getByText("The call is noted.")).toBeVisible();
  await expect(call).toHaveCount(0);
  await page.keyboard.press("o");
  await expect(page.getByRole("region", { name: /^Task / })).toContainText("spoke with them: “brings it on the 3rd”");
  await expect(page.getByRole("region", { name: /^Task / })).toContainText("Thu 3 Dec");
});

test("by person, from the team alone, and one person: the sentence says it and the address keeps it", async ({
  page,
}) => {
  await comeInAs(page, "Ines Valdarno", "/waiting");
  await page.getByRole("button", { name: /^From whom/ }).click();
  await page.keyboard.type("the team");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/from=the/);
  const waits = page.getByRole("list", { name: "Waits" });
  await expect(waits.getByText("Give it an owner").first()).toBeVisible();
  await page.getByRole("button", { name: /^In which order/ }).click();
  await page.keyboard.type("by person");
  await page.keyboard.press("Enter");
  await expect(page).toHaveURL(/order=person/);
  await page.reload();
  await expect(page.getByRole("button", { name: /^In which order/ })).toContainText("by person");
  await page.getByRole("button", { name: /^From whom/ }).click();
  await page.keyboard.type("kofi");
  await page.keyboard.press("Enter");
  await expect(waits.getByRole("listitem").first()).toContainText("Kofi Brandt");
});
