import crypto from "node:crypto";
import DKIM from "nodemailer/lib/dkim";
import MailComposer from "nodemailer/lib/mail-composer";
import { expect, test } from "vitest";
import { senderCheckBy, uncheckedSender } from "./check-sender";

const keys = crypto.generateKeyPairSync("rsa", { modulusLength: 2048 });
const pem = keys.privateKey.export({ type: "pkcs8", format: "pem" }).toString();
const published = keys.publicKey.export({ type: "spki", format: "der" }).toString("base64");

/** The records that beech.example publishes: SPF (RFC 7208), DKIM (RFC 6376) and DMARC (RFC 7489). */
const RECORDS: Readonly<Record<string, string>> = {
  "beech.example": "v=spf1 ip4:192.0.2.10 -all",
  "k1._domainkey.beech.example": `v=DKIM1; k=rsa; p=${published}`,
  "_dmarc.beech.example": "v=DMARC1; p=reject",
};

async function resolve(name: string, type: string): Promise<unknown> {
  const record = RECORDS[name];
  if (type === "TXT" && record) return [[record]];
  throw Object.assign(new Error("no such name"), { code: "ENOTFOUND" });
}

async function letter(isSigned: boolean): Promise<Buffer> {
  const raw = await new MailComposer({
    from: "ada@beech.example",
    to: "hello@in.house.example",
    subject: "Signed",
    text: "Hello",
    newline: "\r\n",
  })
    .compile()
    .build();
  if (!isSigned) return raw;
  const signed = new DKIM({ domainName: "beech.example", keySelector: "k1", privateKey: pem }).sign(raw);
  const pieces: Buffer[] = [];
  for await (const piece of signed) pieces.push(Buffer.from(piece));
  return Buffer.concat(pieces);
}

const check = senderCheckBy(resolve, "in.house.example");
const handed = async (isSigned: boolean, peer: string) => ({
  raw: await letter(isSigned),
  peer,
  helo: "mail.beech.example",
  from: "ada@beech.example",
});

test("a signed letter from the domain's own machine is proved; a borrowed name is not", async () => {
  expect(await check(await handed(true, "192.0.2.10"))).toEqual({ spf: "pass", dkim: "pass", dmarc: "pass" });
  // The signature alone proves it, wherever it comes through.
  expect(await check(await handed(true, "198.51.100.7"))).toMatchObject({ dkim: "pass", dmarc: "pass" });
  expect(await check(await handed(false, "198.51.100.7"))).toMatchObject({ spf: "fail", dkim: "none", dmarc: "fail" });
});

test("without a resolver nothing is proved, and a resolver that fails holds nothing up", async () => {
  expect(await uncheckedSender(await handed(true, "192.0.2.10"))).toBeNull();
  const broken = senderCheckBy(async () => {
    throw Object.assign(new Error("refused"), { code: "ECONNREFUSED" });
  }, "in.house.example");
  expect((await broken(await handed(false, "192.0.2.10")))?.dmarc).not.toBe("pass");
});
