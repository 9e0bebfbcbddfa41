import type { Refusal } from "./outcome";

/** The sentence a person reads when an act is refused: what happened, what was kept, what to do. */
export function refusalWords(refusal: Refusal): string {
  switch (refusal.code) {
    case "not found":
      return "This is not here any more, or you may not see it. Nothing was changed.";
    case "not allowed":
      return "You may not do this. Nothing was changed.";
    case "changed meanwhile":
      return `${refusal.by} changed the ${refusal.what} to “${refusal.theirs}” while you were at it. Yours, “${refusal.yours}”, is not saved; enter it again if it should win.`;
    case "built upon":
      return `${refusal.by} has changed this since, so it cannot be undone by itself. Nothing was changed.`;
    case "already undone":
      return "This has been undone already.";
    case "nothing to undo":
      return "There is nothing of yours to undo here.";
    case "invalid":
      return refusal.why;
  }
}
