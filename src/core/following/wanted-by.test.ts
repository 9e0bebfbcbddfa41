import { expect, test } from "vitest";
import { parseLetter } from "../letters/parse-letter";
import { readLetter } from "../reading/read-letter";
import { Following } from "./follow";
import { wantedBy } from "./wanted-by";

const PEOPLE = {
  team: [
    { id: "nadia", name: "Nadia Okafor", address: "nadia@house.example" },
    { id: "pip", name: "Philippa Marsh", address: "pip@house.example" },
  ],
  outside: [],
};

test("what a letter opens is wanted by the day that the letter read by itself gives, and compared by every day that is named", async () => {
  const parsed = await parseLetter(
    Buffer.from(
      [
        "From: Philippa Marsh <pip@house.example>",
        "To: Nadia Okafor <nadia@house.example>",
        "Date: Mon, 02 Mar 2026 09:00:00 +0000",
        "",
        "Hi Nadia,",
        "",
        "can you book a table for ten for the trustees' supper on the 19th?",
        "",
        "Please send me the wine list by Friday.",
        "",
        "Pip",
      ].join("\r\n"),
    ),
  );
  if (!parsed.ok) throw new Error(parsed.why);
  const { opens } = new Following(PEOPLE).read(parsed.letter);
  expect(opens.map(({ due }) => due)).toEqual(["2026-03-19", "2026-03-06"]);
  const days = opens.map(wantedBy(parsed.letter, PEOPLE));
  expect(days).toEqual([null, "2026-03-06"]);
  const sent = { at: parsed.letter.sentAt!, zone: parsed.letter.offset };
  expect(days).toEqual(readLetter(parsed.letter, PEOPLE, sent).map(({ due }) => due?.day ?? null));
});
