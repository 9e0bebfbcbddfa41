import { spawnSync } from "node:child_process";
import path from "node:path";
import { describe, expect, test } from "vitest";
import { readBounce } from "@/core/letters/bounce";
import { readMime } from "@/core/letters/mime";
import { parseLetter } from "@/core/letters/parse-letter";

// The table with which flufl.bounce (Debian's python3-flufl.bounce, tests/data) is tested: real reports of mail servers of
// twenty years. A row belongs to one of its detectors; here one file's rows are taken together. Rows without an address say
// only that this one detector is not meant.

interface Row {
  by: string;
  name: string;
  addresses: string[];
  delayed: boolean;
  raw: string;
}

function table(): Map<string, Row> {
  const printed = spawnSync("/usr/bin/python3", [path.join(import.meta.dirname, "python_bounces.py")], {
    maxBuffer: 64 * 1024 * 1024,
  });
  if (printed.status !== 0) throw new Error(printed.stderr.toString());
  const files = new Map<string, Row>();
  for (const line of printed.stdout.toString().trim().split("\n")) {
    const row = JSON.parse(line) as Row;
    if (row.addresses.length === 0) continue;
    const known = files.get(row.name);
    files.set(row.name, { ...row, addresses: [...(known?.addresses ?? []), ...row.addresses] });
  }
  return files;
}

const sorted = (addresses: readonly string[]) => [...new Set(addresses.map((one) => one.toLowerCase()))].sort();

describe("failed deliveries, against flufl.bounce's table", () => {
  const files = [...table().values()];

  test("the table is there", () => expect(files.length).toBeGreaterThan(105));

  test.each(files)("$name names who was not reached", async ({ addresses, delayed, raw }) => {
    const bytes = Buffer.from(raw, "base64");
    const parsed = await parseLetter(bytes);
    const bounce = readBounce(await readMime(bytes), parsed.ok ? parsed.letter.text : "");
    expect(sorted(bounce?.failed.map((one) => one.address) ?? [])).toEqual(sorted(addresses));
    expect(bounce!.failed.map((one) => one.isDelayed)).toEqual(bounce!.failed.map(() => delayed));
  });
});

describe("the delivery report of RFC 3464, appendix E", () => {
  // Appendix E.1: a failure after a long delay.
  const report = [
    "Date: Thu, 7 Jul 1994 17:16:05 -0400",
    "From: Mail Delivery Subsystem <MAILER-DAEMON@CS.UTK.EDU>",
    "Message-Id: <199407072116.RAA14128@CS.UTK.EDU>",
    "Subject: Returned mail: Cannot send message for 5 days",
    "To: <owner-info-mime@cs.utk.edu>",
    "MIME-Version: 1.0",
    'Content-Type: multipart/report; report-type=delivery-status; boundary="RAA14128.773615765/CS.UTK.EDU"',
    "",
    "--RAA14128.773615765/CS.UTK.EDU",
    "",
    "The original message was received at Sat, 2 Jul 1994 17:10:28 -0400",
    "from root@localhost",
    "",
    "   ----- The following addresses had delivery problems -----",
    "<louisl@larry.slip.umd.edu>  (unrecoverable error)",
    "",
    "----- Transcript of session follows -----",
    "<louisl@larry.slip.umd.edu>... Deferred: Connection timed out",
    "      with larry.slip.umd.edu.",
    "Message could not be delivered for 5 days",
    "Message will be deleted from queue",
    "",
    "--RAA14128.773615765/CS.UTK.EDU",
    "content-type: message/delivery-status",
    "",
    "Reporting-MTA: dns; cs.utk.edu",
    "",
    "Original-Recipient: rfc822;louisl@larry.slip.umd.edu",
    "Final-Recipient: rfc822;louisl@larry.slip.umd.edu",
    "Action: failed",
    "Status: 4.0.0",
    "Diagnostic-Code: smtp; 426 connection timed out",
    "Last-Attempt-Date: Thu, 7 Jul 1994 17:15:49 -0400",
    "",
    "--RAA14128.773615765/CS.UTK.EDU",
    "content-type: message/rfc822",
    "",
    "Message-ID: <the-letter-itself@cs.utk.edu>",
    "Subject: The letter that failed",
    "",
    "[original message goes here]",
    "--RAA14128.773615765/CS.UTK.EDU--",
    "",
  ].join("\r\n");

  test("says who, why in plain words, and which letter", async () => {
    const parsed = await parseLetter(Buffer.from(report));
    expect(parsed.ok && parsed.letter.automatic).toBe("bounce");
    expect(readBounce(await readMime(Buffer.from(report)), "")).toEqual({
      failed: [{ address: "louisl@larry.slip.umd.edu", isDelayed: false, why: "their mail server cannot be reached" }],
      returnedId: "the-letter-itself@cs.utk.edu",
    });
  });
});
