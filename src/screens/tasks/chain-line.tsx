"use client";

import type { Link } from "../../core/tasks/chain";
import { sayMoment } from "../../core/time/say-day";
import type { TaskRow } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";

/** Links shown at the most; what lies between the first and the last ones of a longer chain is folded. */
const MOST_SHOWN = 4;

/** Who has it through whom: the givers, each with when they gave it, up to the one who has it. */
export function ChainLine({ task }: { task: TaskRow }) {
  const { team, me } = useHouse();
  const { now } = useToday();
  const { chain } = task;
  if (chain.length === 0) return null;
  const person = (id: string) => team.find((one) => one.id === id);
  const folded = chain.length > MOST_SHOWN ? chain.length - MOST_SHOWN + 1 : 0;
  const shown = folded > 0 ? [chain[0]!, ...chain.slice(folded + 1)] : chain;
  const said = chain
    .map((link) => (link.by === me.id ? "you" : (person(link.by)?.name ?? "somebody")))
    .concat(task.owner ? (task.owner.id === me.id ? "you" : task.owner.name) : "nobody");
  return (
    <span className="flex flex-wrap items-center gap-1.5 font-medium text-soft">
      <span className="sr-only">Given by {said.join(", then to ")}: </span>
      {shown.map((link, i) => (
        <span key={`${link.by}${link.at}`} className="flex items-center gap-1.5" aria-hidden="true">
          <PersonLabel
            initials={person(link.by)?.initials ?? "?"}
            name={person(link.by)?.name ?? ""}
            isTeam
            size="small"
          />
          <span className="text-[12px]">{sayMoment(Date.parse(link.at), now)}</span>
          <Arrow />
          {i === 0 && folded > 0 && (
            <>
              <span className="text-[12px]">{folded} more</span>
              <Arrow />
            </>
          )}
        </span>
      ))}
    </span>
  );
}

function Arrow() {
  return (
    <svg width="16" height="10" viewBox="0 0 16 10" aria-hidden="true">
      <path d="M1 5H14M10 1L14 5L10 9" fill="none" stroke="var(--rim)" strokeWidth="1.5" />
    </svg>
  );
}

/** What the owner answered to the hand-over, in words, for the list and the sheet. */
export function answerWords(task: TaskRow): { words: string; look: "open" | "going" | "act" } | null {
  const last: Link | undefined = task.chain.at(-1);
  if (!last) return null;
  if (!task.owner && last.answer === "declined") return { words: "handed back", look: "act" };
  if (last.to !== task.owner?.id) return null;
  if (last.question !== "") return { words: "asks back", look: "act" };
  if (task.state !== "to begin") return null;
  return last.answer === "accepted" ? { words: "taken on", look: "going" } : { words: "not answered", look: "open" };
}
