import { type Browser, expect, type Page, test } from "@playwright/test";
import { comeInAs } from "./house";

async function personAt(browser: Browser, name: string, path: string): Promise<Page> {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await comeInAs(page, name, path);
  return page;
}

const sheet = (page: Page) => page.getByRole("region", { name: /^Task / });
const news = (page: Page) => page.getByRole("button", { name: /What you should hear/ });

test("handed over with a note, passed on, asked, answered, done: each sees it at once and hears once", async ({
  browser,
}) => {
  test.setTimeout(90_000);
  const ines = await personAt(browser, "Ines Valdarno", "/tasks");
  await ines.keyboard.press("a");
  await ines.getByRole("textbox", { name: /A new task/ }).fill("Redraw the fall heights, by Friday");
  await ines.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(ines.getByText(/Made as /)).toBeVisible();
  const [, reference] = /Made as (\w+ \d+)/.exec((await ines.getByText(/Made as /).textContent()) ?? "")!;
  const path = `/tasks/${reference!.replace(" ", "-")}`;
  await ines.goto(path);
  await expect(sheet(ines)).toBeVisible();
  await ines.keyboard.press("h");
  const line = ines.getByRole("textbox", { name: /Hand over to whom/ });
  await line.fill("suki tomorrow noon. Only sheet 3 changed.");
  const hand = ines.getByRole("region", { name: "Hand over" });
  await expect(hand).toContainText("Wed 25 Nov, 12:00");
  await expect(hand).toContainText(/up to Wed 25 Nov.*Suki Aldane\d+ due/);
  await expect(hand).toContainText("Suki Aldane will own it");
  await ines.reload();
  await expect(sheet(ines)).toBeVisible();
  await ines.keyboard.press("h");
  await expect(line).toHaveValue(/Only sheet 3/);
  await line.press("Enter");
  await expect(sheet(ines)).toContainText("handed it to Suki Aldane: “Only sheet 3 changed.”");
  await expect(sheet(ines)).toContainText("not answered");

  const suki = await personAt(browser, "Suki Aldane", "/tasks");
  await news(suki).click();
  await suki.getByRole("link", { name: new RegExp(`Redraw the fall heights ${reference}`) }).click();
  await expect(suki).toHaveURL(new RegExp(path));
  const given = (page: Page) => page.getByRole("region", { name: "Given to you" });
  await expect(given(suki)).toContainText("Only sheet 3 changed.");
  await suki.keyboard.press("k");
  await expect(sheet(ines)).toContainText("taken on");
  await suki.keyboard.press("h");
  await suki.getByRole("textbox", { name: /Hand over to whom/ }).fill("jonah you have the model open");
  await suki.getByRole("textbox", { name: /Hand over to whom/ }).press("Enter");
  await expect(sheet(ines)).toContainText("Given by you, then to Suki Aldane, then to Jonah Prewitt");

  const jonah = await personAt(browser, "Jonah Prewitt", path);
  await expect(given(jonah)).toContainText("Suki Aldane gave it to you");
  await jonah.keyboard.press("q");
  await jonah.getByRole("textbox", { name: "Question to Suki Aldane" }).fill("Which revision?");
  await jonah.getByRole("textbox", { name: "Question to Suki Aldane" }).press("Enter");
  await expect(sheet(suki)).toContainText("Jonah Prewitt asks: “Which revision?”");
  await sheet(suki).getByRole("textbox", { name: "Note for the team" }).fill("Revision C.");
  await sheet(suki).getByRole("textbox", { name: "Note for the team" }).press("Enter");
  await expect(sheet(suki).getByText("asks: “Which revision?”")).toHaveCount(0);
  await expect(sheet(jonah)).toContainText("Revision C.");
  await jonah.keyboard.press("d");
  await expect(sheet(ines).getByRole("button", { name: "State: done" })).toBeVisible();
  // It is on the screen of whoever gave it first; in their list it stands once.
  await ines.goto("/sort");
  await news(ines).click();
  const heard = ines
    .getByRole("listitem")
    .filter({ hasText: `Redraw the fall heights ${reference}` })
    .first();
  await expect(heard.getByText(/finished it/)).toHaveCount(1);
});

test("handed back with a reason it is nobody's, and stands out until it has an owner", async ({ browser }) => {
  const suki = await personAt(browser, "Suki Aldane", "/tasks?whose=to+me");
  const list = suki.getByRole("list", { name: "Tasks by day" });
  await list
    .getByRole("button", { name: /Sketch for the Hollowby shelter/ })
    .first()
    .click();
  await expect(sheet(suki)).toContainText("Sketch for the Hollowby shelter");
  await suki.keyboard.press("b");
  const reason = suki.getByRole("textbox", { name: "Why it comes back" });
  await reason.press("Enter");
  await expect(reason).toBeVisible();
  await reason.fill("no room before December");
  await reason.press("Enter");
  await expect(suki.getByText(/is handed back/)).toBeVisible();
  const tobias = await personAt(browser, "Tobias Reyne", "/tasks?whose=nobody");
  const row = tobias.getByRole("listitem").filter({ hasText: "Sketch for the Hollowby shelter" }).first();
  await expect(row).toContainText("handed back");
  await expect(row).toContainText("Suki: “no room before December”");
  await suki.keyboard.press("u");
  await expect(sheet(suki)).toContainText("Suki Aldane");
});

test("what is given to somebody who looks elsewhere is a notice of their browser, once they asked for that", async ({
  browser,
}) => {
  const oisin = await personAt(browser, "Oisin Marlowe", "/mail-about-tasks");
  // A browser without a screen shows no notices: what would be shown is written down instead.
  await oisin.addInitScript(() => {
    const shown: string[] = [];
    class Shown {
      static permission = "granted";
      onclick = null;
      constructor(title: string, { body }: { body: string }) {
        shown.push(`${title}: ${body}`);
      }
    }
    Object.assign(window, { Notification: Shown, shown });
    Object.defineProperty(document, "visibilityState", { get: () => "hidden" });
  });
  await oisin.reload();
  await oisin.getByRole("checkbox", { name: /as a notice of this browser/ }).check();
  const ines = await personAt(browser, "Ines Valdarno", "/tasks");
  await ines.keyboard.press("a");
  await ines.getByRole("textbox", { name: /A new task/ }).fill("Salt for the yard, for Oisin by Friday");
  await ines.getByRole("textbox", { name: /A new task/ }).press("Enter");
  await expect(ines.getByText(/Made as /)).toBeVisible();
  await expect
    .poll(() => oisin.evaluate(() => (window as unknown as { shown: string[] }).shown))
    .toEqual([expect.stringMatching(/^Salt for the yard \(\w+ \d+\): Ines Valdarno gave it to you$/)]);
});
