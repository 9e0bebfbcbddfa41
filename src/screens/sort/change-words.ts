import { type ChangeEffect, effectOfChange } from "../../core/tasks/change-effect";
import type { SlipView } from "../../core/views/views";

/** What keeping an offered change does to its task, as the act will do it. */
function effectOf({ changes, owner, theirs, due }: SlipView): ChangeEffect {
  const to = theirs
    ? ({ side: "theirs", correspondentId: theirs.id } as const)
    : ({ side: "ours", personId: owner?.id ?? null } as const);
  return effectOfChange(changes!.change, changes!, to, due !== null);
}

/** What it comes to, the button that keeps it, and what is said once it is kept; `#` stands for the task's reference. */
const WORDS: Readonly<Record<ChangeEffect, { becomes: string; verb: string; says: string }>> = {
  finish: { becomes: "finishes #", verb: "Finish it", says: "# is done." },
  "call off": { becomes: "calls # off", verb: "Call it off", says: "# is called off." },
  "pass on": { becomes: "passes # on", verb: "Pass it on", says: "# is passed on." },
  move: { becomes: "moves #", verb: "Move it", says: "# has its new day." },
  free: { becomes: "frees #", verb: "Free it", says: "# has nobody now; why stands on it as a note." },
  note: { becomes: "a note on #", verb: "Note it", says: "It stands on # as a note." },
  "open again": {
    becomes: "opens # again",
    verb: "Open it again",
    says: "# is open again; why stands on it as a note.",
  },
  nothing: { becomes: "# is over already", verb: "Take note", says: "# was over already and stays as it was." },
};

function wordsOf(slip: SlipView, which: "becomes" | "verb" | "says"): string {
  return WORDS[effectOf(slip)][which].replace("#", slip.changes!.reference);
}

/** What keeping an offered change does to its task: "finishes quince 205". */
export function changeBecomes(slip: SlipView): string {
  return wordsOf(slip, "becomes");
}

/** The verb of the button that keeps it. */
export function keepVerb(slip: SlipView): string {
  return wordsOf(slip, "verb");
}

/** What was done to tasks by keeping these slips, as a sentence; null where none changed one. */
export function changedWords(slips: readonly SlipView[]): string | null {
  const changed = slips.filter((slip) => slip.changes !== null);
  if (changed.length === 0) return null;
  return changed.length === 1
    ? wordsOf(changed[0]!, "says")
    : `${changed.length} tasks have what the letters say of them.`;
}
