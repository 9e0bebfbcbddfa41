import AxeBuilder from "@axe-core/playwright";
import { expect, type Page, test } from "@playwright/test";
import { comeInAs } from "./house";

const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];
const THEMES = ["enamel", "cast-iron"] as const;
const SCREENS = [
  "/sign-in",
  "/sort",
  "/sort?place=dealt",
  "/tasks",
  "/tasks?whose=mine",
  "/tasks/rhubarb-128",
  "/letters",
  "/people",
  "/waiting",
  "/review",
  "/round",
  "/cover",
  "/calendar",
  "/mail-about-tasks",
  "/answer/nothing",
  "/mailboxes",
  "/learnt",
  "/write",
  "/post-room",
];

/** The page as it is in a theme, as choosing it in one's own menu makes it. */
async function wear(page: Page, theme: (typeof THEMES)[number]): Promise<void> {
  await page.evaluate((name) => {
    if (name === "cast-iron") document.documentElement.dataset.theme = name;
    else delete document.documentElement.dataset.theme;
  }, theme);
  await page.waitForTimeout(200);
}

for (const size of SIZES) {
  test(`every main screen passes axe at ${size.width} in both themes`, async ({ page }) => {
    await page.setViewportSize(size);
    let looked = 0;
    for (const [i, path] of SCREENS.entries()) {
      if (path === "/sign-in") await page.goto(path);
      else if (i === 1) await comeInAs(page, "Ines Valdarno", path);
      else if (path === "/letters") {
        const { letters } = await (await page.request.get("/api/find?words=crane")).json();
        await page.goto(`/letters/${letters[0].id}`);
      } else if (path === "/people") {
        const { people } = await (await page.request.get("/api/find?words=colm")).json();
        await page.goto(`/people/${people[0].id}`);
        await expect(page.getByRole("heading", { name: "Colm Hartnell" })).toBeVisible();
      } else await page.goto(path);
      await page.waitForTimeout(500);
      for (const theme of THEMES) {
        await wear(page, theme);
        const { violations } = await new AxeBuilder({ page })
          .setLegacyMode()
          .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
          .analyze();
        expect(
          violations.map((violation) => [
            path,
            theme,
            violation.id,
            violation.nodes.map((node) => node.target.join(" ")).slice(0, 3),
          ]),
        ).toEqual([]);
        expect([path, await page.evaluate(() => document.documentElement.scrollWidth > innerWidth)]).toEqual([
          path,
          false,
        ]);
        looked += 1;
      }
    }
    expect(looked).toBe(SCREENS.length * THEMES.length);
  });
}

test("on a phone, Sort and Tasks work by thumb", async ({ page }) => {
  await page.setViewportSize(SIZES[1]!);
  await comeInAs(page);
  await page.getByRole("button", { name: /show the round/ }).click();
  await page.getByRole("list", { name: "To sort" }).getByRole("button").nth(2).click();
  await expect(page.getByRole("toolbar", { name: "Acts" })).toBeInViewport();
  await page.getByRole("link", { name: /^Tasks/ }).click();
  await page.getByRole("list", { name: "Tasks by day" }).getByRole("button").first().click();
  await expect(page.getByRole("region", { name: /^Task / })).toBeVisible();
  await page.getByRole("button", { name: "‹ The list" }).click();
  await expect(page.getByRole("list", { name: "Tasks by day" })).toBeVisible();
});
