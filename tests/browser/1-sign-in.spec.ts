import { expect, test } from "@playwright/test";
import { comeInAs } from "./house";

test("signing in with e-mail and password, and out again", async ({ page }) => {
  await page.goto("/tasks");
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel("E-mail").fill("kofi@larkmoor.example");
  await page.getByLabel("Password").fill("wrong-password");
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(page.getByRole("alert").filter({ hasText: "do not belong together" })).toBeVisible();
  await page.getByLabel("Password").fill("plum-jam-2026");
  await page.getByRole("button", { name: "Sign in", exact: true }).click();
  await expect(page).toHaveURL(/\/tasks$/);
  // The first page of a server that has just started may still be waking up when it is clicked.
  await expect(async () => {
    await page.getByRole("button", { name: /Kofi Brandt: theme/ }).click();
    await expect(page.getByRole("menuitem", { name: "Sign out" })).toBeVisible({ timeout: 1_000 });
  }).toPass();
  await page.getByRole("menuitem", { name: "Sign out" }).click();
  await expect(page).toHaveURL(/sign-in/);
  expect((await page.request.get("/api/sort")).status()).toBe(401);
});

test("one click comes in as one of the demo's people", async ({ page }) => {
  await comeInAs(page, "Suki Aldane");
  await expect(page.getByRole("heading", { name: "Morning round" })).toBeVisible();
});

test("the way back after signing in stays in this house", async ({ page }) => {
  await page.goto("/sign-in?then=//evil.example/x");
  await page.getByRole("button", { name: /Ines Valdarno/ }).click();
  await expect(page).toHaveURL(/localhost:3977\/sort/);
});

test("nobody can make an account from outside, and other sites cannot act", async ({ request }) => {
  const made = await request.post("/api/auth/sign-up/email", {
    data: { email: "x@evil.example", password: "12345678901", name: "X" },
  });
  expect(made.ok()).toBe(false);
  const act = await request.post("/api/acts", {
    data: { name: "make task", input: {} },
    headers: { "sec-fetch-site": "cross-site" },
  });
  expect(act.status()).toBe(403);
});
