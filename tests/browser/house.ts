import { expect, type Page } from "@playwright/test";

/** Comes in as one of the demo's people, with one click. */
export async function comeInAs(page: Page, name = "Ines Valdarno", path = "/sort"): Promise<void> {
  await page.goto(`/sign-in?then=${encodeURIComponent(path)}`);
  await page.getByRole("button", { name: new RegExp(name) }).click();
  await page.waitForURL((url) => !url.pathname.startsWith("/sign-in"));
  await expect(page.getByRole("navigation", { name: "Stations" })).toBeVisible();
  await isAwake(page);
}

/** Waits until the page answers to clicks: what the server drew is there before (React marks each element that it has taken over). */
export async function isAwake(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    const all = [...document.querySelectorAll("header a, main button")];
    return all.every((one) => Object.keys(one).some((key) => key.startsWith("__react")));
  });
}

/** The row of Sort that is here. */
export function rowHere(page: Page) {
  return page.getByRole("list", { name: "To sort" }).locator('[aria-current="true"]');
}

/** Opens the conversation whose row in Sort says this. */
export async function openRow(page: Page, text: string | RegExp): Promise<void> {
  const row = page.getByRole("list", { name: "To sort" }).getByRole("button", { name: text }).first();
  const box = page.getByRole("list", { name: "To sort" }).locator("..");
  // Rows beyond the edge are not there; one that comes while the list is gone through, or goes from sight while it is
  // reached for, is met at the next turn.
  await expect(async () => {
    await box.evaluate((element) => {
      const isAtEnd = element.scrollTop + element.clientHeight >= element.scrollHeight - 2;
      element.scrollTo(0, isAtEnd ? 0 : element.scrollTop + 300);
    });
    await expect(row).toBeVisible({ timeout: 80 });
    await row.click({ timeout: 2000 });
  }).toPass({ intervals: [20], timeout: 60_000 });
}

/** A letter as a file to drop. */
export function mailFile(name: string, lines: readonly string[]): { name: string; mimeType: string; buffer: Buffer } {
  return { name, mimeType: "message/rfc822", buffer: Buffer.from(lines.join("\r\n")) };
}

/** Brings mail files in by the button of Sort, and waits until the report is complete. */
export async function bringIn(
  page: Page,
  files: readonly { name: string; mimeType: string; buffer: Buffer }[],
): Promise<string> {
  await page.getByLabel("Mail files").setInputFiles([...files]);
  await expect(page.getByText("Mail brought in")).toBeVisible({ timeout: 90_000 });
  const report = (await page.getByRole("status").filter({ hasText: "Mail brought in" }).textContent()) ?? "";
  await page.getByRole("button", { name: "Close" }).click();
  return report;
}
