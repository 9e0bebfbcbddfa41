import { readFileSync } from "node:fs";
import { parseLetter } from "@/core/letters/parse-letter";
import { readLetter } from "@/core/reading/read-letter";

const P = JSON.parse(readFileSync("/tmp/q/people.json", "utf8"));
const asP = (p: any) => ({ id: p.email, name: p.name, address: p.email });
const people: any = { team: P.team.map(asP), outside: P.outside.map(asP) };
for (const t of process.argv.slice(2)) {
  const r: any = await parseLetter(
    Buffer.from(
      `From: Greta Lindholm <greta.lindholm@conservatoire.example>\r\nTo: Wren Abernathy <wren@quillpedal.example>\r\nDate: Mon, 01 Mar 2027 09:20:00 +0000\r\nSubject: x\r\n\r\nDear Wren,\r\n\r\n${t}\r\n\r\nGreta\r\n`,
    ),
  );
  console.log("#", t);
  for (const s of readLetter(r.letter, people, { at: r.letter.sentAt, zone: r.letter.offset }))
    console.log(
      "   ",
      s.kind,
      "|",
      r.letter.text.slice(s.start, s.end),
      "|",
      s.owner?.split("@")[0],
      s.due?.day,
      s.priority,
      s.confidence.toFixed(2),
      "|",
      s.title,
      "|",
      s.reason,
    );
}
