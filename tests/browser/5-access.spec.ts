import AxeBuilder from "@axe-core/playwright";
import { expect, test } from "@playwright/test";
import { comeInAs } from "./house";

const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
];
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

for (const size of SIZES) {
  for (const theme of ["enamel", "cast-iron"]) {
    test(`every main screen passes axe at ${size.width} in ${theme}`, async ({ page }) => {
      await page.setViewportSize(size);
      await page.addInitScript((name) => localStorage.setItem("theme", name), theme);
      let screens = 0;
      for (const path of SCREENS) {
        if (path === "/sign-in") await page.goto(path);
        else if (screens === 1) await comeInAs(page, "Ines Valdarno", path);
        else if (path === "/letters") {
          const { letters } = await (await page.request.get("/api/find?words=crane")).json();
          await page.goto(`/letters/${letters[0].id}`);
        } else if (path === "/people") {
          const { people } = await (await page.request.get("/api/find?words=colm")).json();
          await page.goto(`/people/${people[0].id}`);
          await expect(page.getByRole("heading", { name: "Colm Hartnell" })).toBeVisible();
        } else await page.goto(path);
        await page.waitForTimeout(500);
        const { violations } = await new AxeBuilder({ page })
          .setLegacyMode()
          .withTags(["wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa"])
          .analyze();
        expect(
          violations.map((violation) => [
            path,
            violation.id,
            violation.nodes.map((node) => node.target.join(" ")).slice(0, 3),
          ]),
        ).toEqual([]);
        expect([path, await page.evaluate(() => document.documentElement.scrollWidth > innerWidth)]).toEqual([
          path,
          false,
        ]);
        screens += 1;
      }
      expect(screens).toBe(SCREENS.length);
    });
  }
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
