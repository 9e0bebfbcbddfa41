import { clausesIn } from "@/core/reading/clauses";
import { nothing } from "@/core/reading/rules/nothing"; import { ask } from "@/core/reading/rules/ask"; import { question } from "@/core/reading/rules/question"; import { promise } from "@/core/reading/rules/promise"; import { trouble } from "@/core/reading/rules/trouble";
const person = (name: string) => ({ id: name, name, address: `${name.toLowerCase().replace(" ", ".")}@yard.example` });
const ground: any = { writer: person("Fenna Dahl"), to: [person("Marit Holm")], people: { team: [person("Marit Holm"), person("Leilani Beck"), person("Tomasz Ra"), person("Saoirse Li"), person("Ngozi Wu")], outside: [] } };
import fs from "node:fs";
for (const line of fs.readFileSync(0, "utf8").split("\n").filter(Boolean)) {
  for (const c of clausesIn(line, [{ kind: "new", start: 0, end: line.length }])) {
    let k: any = null; for (const r of [nothing, ask, question, promise, trouble]) { k = r.find(c, ground); if (k) break; }
    console.log(String(k).padEnd(9), "|", c.text);
  }
}
