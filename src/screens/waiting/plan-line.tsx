"use client";

import { firstNameOf } from "../../core/letters/first-name";
import { sayMomentFully } from "../../core/time/say-day";
import type { WaitRow } from "../../core/views/waiting-view";
import type { ChasePlan } from "../../core/waiting/chase-plan";
import { readPlan } from "../../core/waiting/read-plan";
import { AskedLine } from "../parts/asked-line";
import { useHouse, useToday } from "../parts/house";
import { SmallWord } from "../parts/small-word";
import { useDraft } from "../parts/use-draft";

/** Letters that are planned, as they are sent to the act. */
export interface PlannedChases {
  readonly firstAt: string | null;
  readonly every: number;
  readonly letters: number;
}

function more(left: number, every: number): string {
  if (left <= 1) return "one letter";
  return `then every ${every === 1 ? "working day" : `${every} working days`}, ${left} letters at the most`;
}

/** One line that plans letters: "wednesday 9:00, then every 3 days, three letters". */
export function PlanLine(props: {
  readonly row: WaitRow;
  readonly onPlan: (plan: PlannedChases) => Promise<boolean>;
  readonly onClose: () => void;
}) {
  const { figures, zone } = useHouse();
  const { now, calendar } = useToday();
  const [line, setLine] = useDraft(`plan ${props.row.task.id}`);
  const read = readPlan(line, now, calendar, figures);
  const isPast = read.firstAt !== null && read.firstAt <= now.at;
  const plan = async () => {
    if (read.firstAt === null) return;
    const { every, letters } = read;
    if (await props.onPlan({ firstAt: new Date(read.firstAt).toISOString(), every, letters })) {
      setLine("");
      props.onClose();
    }
  };
  const first = props.row.from ? firstNameOf(props.row.from.name) : "they";
  return (
    <div className="mt-2">
      <AskedLine
        name="Letters by themselves"
        label="When letters leave by themselves"
        placeholder="wednesday 9:00, every 3 days, three letters"
        line={line}
        onLine={setLine}
        does="Plan"
        isReady={read.firstAt !== null && !isPast}
        onDo={() => void plan()}
        onClose={props.onClose}
        words={
          line.trim() === ""
            ? "A day and time; perhaps how often, and how many letters."
            : read.firstAt === null
              ? "No day is named here."
              : `${isPast ? "That is past: " : "Leaves "}${sayMomentFully(read.firstAt, zone, now)} unless ${first} writes first; ${more(read.letters, read.every)}.`
        }
      />
    </div>
  );
}

/** The plan that stands, and the way to end it. */
export function PlanStands({ plan, row, onEnd }: { plan: ChasePlan; row: WaitRow; onEnd: () => void }) {
  const { now } = useToday();
  const { me, team } = useHouse();
  const first = row.from ? firstNameOf(row.from.name) : "they";
  const by = plan.byId === me.id ? "your" : `${team.find((one) => one.id === plan.byId)?.name ?? "somebody"}’s`;
  return (
    <p className="mt-2 rounded-[13px] border border-theirs px-3 py-2 text-[12.5px]">
      A letter in {by} name leaves <b>{sayMomentFully(Date.parse(plan.nextAt), now.zone, now)}</b> unless {first} writes
      first; {more(plan.left, plan.every)}.
      {plan.said !== "" && <span className="block text-late">The last one stayed here: {plan.said}</span>}
      <SmallWord className="ml-1" onClick={onEnd}>
        end the plan
      </SmallWord>
    </p>
  );
}
