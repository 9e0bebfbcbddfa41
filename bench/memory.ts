import { takeIn } from "../src/acts/take-in";
import { benchHouse } from "./house";
import { say } from "./measure";

const LETTERS = 20_000;
const EARLY = 2_000;
const BATCH_SIZE = 40;

/** Letters of some kilobytes, each in a conversation of eight. */
function letter(n: number): { raw: Buffer } {
  const root = Math.floor(n / 8) * 8;
  const answers = n === root ? "" : `References: <m-${root}@bench.example>\r\n`;
  const words = `${`Line ${n} of a letter that says nothing much.\r\n`.repeat(60)}Could you send us part ${n} by Friday?\r\n`;
  return {
    raw: Buffer.from(
      `From: W${n % 50} <w${n % 50}@bench.example>\r\nTo: ines@bench.example\r\nSubject: Matter ${root}\r\nMessage-ID: <m-${n}@bench.example>\r\n${answers}Date: Mon, 23 Nov 2026 09:00:00 +0000\r\n\r\n${words}`,
    ),
  };
}

function heldMegabytes(): number {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1_048_576;
}

/** Memory of the process after the first letters and after twenty thousand: what is kept is on disk. */
export async function benchMemory(): Promise<void> {
  const house = await benchHouse();
  let early = 0;
  for (let n = 0; n < LETTERS; n += BATCH_SIZE) {
    const batch = Array.from({ length: BATCH_SIZE }, (_, i) => letter(n + i));
    await takeIn(house.open.db, batch, house.wayInId, Date.now());
    if (n + BATCH_SIZE === EARLY) early = heldMegabytes();
  }
  const late = heldMegabytes();
  say(`memory over ${LETTERS.toLocaleString("en")} letters`, {
    [`heap MB after ${EARLY}`]: early,
    [`heap MB after ${LETTERS}`]: late,
    "times as much": late / early,
  });
  await house.remove();
}
