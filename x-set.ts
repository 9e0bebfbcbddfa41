import { labelledLetters } from "./tests/reading/labelled";
import { scoreReading } from "./tests/reading/score";
(async()=>{ for (const s of process.argv.slice(2)) { const r = scoreReading(await labelledLetters(s as any)) as any; for (const m of r.mistakes) console.log("  ", m); const {mistakes, ...x}=r; console.log(s, JSON.stringify(x)); } })();
