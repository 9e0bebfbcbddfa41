import fs from "node:fs";
import { parseLetter } from "@/core/letters/parse-letter";
import { clausesIn } from "@/core/reading/clauses";
void (async () => { for (const f of process.argv.slice(2)) { const p = await parseLetter(fs.readFileSync(f)); if (!p.ok) continue; console.log("=====", f.split("/").pop(), p.letter.parts.map(x=>x.kind+":"+x.start+"-"+x.end).join(" ")); for (const c of clausesIn(p.letter.text, p.letter.parts)) console.log(c.block, c.isListItem?"*":" ", c.lead?"["+c.lead.slice(0,30)+"]":"", c.text); } })();
