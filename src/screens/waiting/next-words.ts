import { firstNameOf } from "../../core/letters/first-name";
import type { Moment } from "../../core/time/moment";
import { sayDay, sayMoment } from "../../core/time/say-day";
import type { WaitRow } from "../../core/views/waiting-view";
import type { NextStep } from "../../core/waiting/next-step";

const WHY: Readonly<Record<NextStep["why"], string>> = {
  "handed back": "it was handed back",
  asks: "a question is open",
  "in Sort": "their letter is in Sort",
  away: "when they are back",
  "promise broken": "if it does not come",
  over: "it is over its date",
  "before it is needed": "if it is not here by then",
  silent: "if nothing comes before",
  "in doubt": "it is in doubt",
  "not answered": "not answered yet",
  "on time": "nothing to do now",
  "enough this week": "chased enough this week",
  "no address": "nobody reads letters there",
  planned: "unless they write",
};

/** What comes next for a wait, in words: what to do, and why or when. `isNow` where it is for today. */
export function nextWords(
  { next, task, from }: Pick<WaitRow, "next" | "task" | "from">,
  today: string,
): { what: string; why: string; isNow: boolean; isLetter: boolean } {
  const first = from ? firstNameOf(from.name) : "them";
  const isNow = next.day !== null && next.day <= today;
  const day = next.day ? sayDay(next.day, today) : "";
  const why =
    isNow && next.why === "promise broken"
      ? "the promise is broken"
      : isNow && next.why === "silent"
        ? "longer than is usual"
        : WHY[next.why];
  const words = (what: string, more: Partial<{ isNow: boolean; isLetter: boolean; why: string }> = {}) => ({
    what,
    why,
    isNow,
    isLetter: false,
    ...more,
  });
  switch (next.what) {
    case "give it an owner":
      return words("Give it an owner", {
        isNow: true,
        why: task.chain.at(-1)?.reason ? `“${task.chain.at(-1)!.reason}”` : why,
      });
    case "answer":
      return words(`Answer ${first}`, { isNow: true, why: `“${task.chain.at(-1)?.question ?? ""}”` });
    case "read their letter":
      return words("Read their letter", { isNow: true });
    case "ring":
      return words(isNow ? "Ring them today" : `Ring ${day}`);
    case "letter":
      return words(isNow ? "Letter ready" : `Letter ${day}`, { isLetter: true });
    case "planned letter":
      return words(`Letter ${day}`, { isLetter: true, isNow: false });
    case "ask":
      return words(`Ask ${first}`, {
        isNow: true,
        why: next.why === "in doubt" && task.doubt ? `“${task.doubt}”` : why,
      });
    case "wait until back":
      return words(`${first}, ${day}`);
    case "nothing":
      return words(task.state === "under way" ? "Under way" : "On time");
  }
}

/** What stands above the line: how long it has been quiet, or what came today. */
export function silenceWords(
  row: Pick<WaitRow, "silence" | "isLong" | "events" | "task" | "awayUntil">,
  now: Moment,
  today: string,
): { words: string; look: "long" | "plain" | "going" | "act" } {
  const link = row.task.chain.at(-1);
  if (row.awayUntil) return { words: `away until ${sayDay(row.awayUntil, today)}`, look: "plain" };
  if (row.task.side === "ours" && !row.task.owner && link?.answer === "declined")
    return { words: "handed back", look: "act" };
  if (row.silence > 0)
    return {
      words: `${row.silence} day${row.silence === 1 ? "" : "s"} of silence`,
      look: row.isLong ? "long" : "plain",
    };
  if (link?.answer === "needs-action") return { words: "not answered yet", look: "plain" };
  const last = row.events.findLast((event) => event.what === "they wrote" || event.what === "taken on");
  if (!last) return { words: "asked today", look: "plain" };
  return { words: `${last.what === "taken on" ? "taken on" : "wrote"} ${sayMoment(last.at, now)}`, look: "going" };
}
