"use client";

import Link from "next/link";
import { CHANGE_WORDS } from "../../core/following/change-words";
import { isSure } from "../../core/reading/slip";
import { sayDistance } from "../../core/time/say-day";
import { useToday } from "../parts/house";
import { KIND_COLOURS, KindMark, PersonLabel } from "../parts/marks";
import { OwnerWord } from "../words/picks";
import { DueWord } from "../words/text-words";
import { changeBecomes, keepVerb } from "./change-words";
import type { SlipCardProps } from "./slip-card-props";
import { SlipFoot } from "./slip-foot";

/** A slip that offers to change a task: an answer beside its passage, with the day or person it names, which can be set right. */
export function ChangeCard(props: SlipCardProps) {
  const { slip, editing, isLit } = props;
  const { today, calendar } = useToday();
  const changes = slip.changes!;
  const isUnsure = !isSure(slip);
  const hasDue = slip.due !== null && changes.change !== "done" && changes.change !== "called off";
  return (
    <article
      className={`slip ${isLit ? "is-lit" : ""} ${isUnsure ? "is-unsure" : ""}`}
      aria-label={`${slip.title} (${changes.reference})`}
      aria-current={isLit ? "true" : undefined}
      onFocus={props.onLight}
      onMouseDown={props.onLight}
    >
      <div className="flex justify-between gap-2 text-[12px] leading-[17px]">
        <span className="flex items-center gap-[7px] whitespace-nowrap">
          <KindMark kind={slip.kind} number={props.number} />
          <b className={KIND_COLOURS[slip.kind]}>
            {CHANGE_WORDS[changes.change]}
            {isUnsure && "?"}
          </b>
        </span>
        <span className="truncate text-soft">{changeBecomes(slip)}</span>
      </div>
      <p className="mt-px text-[14.5px] font-bold leading-[19px]">{changes.title}</p>
      <div className="mt-1 flex min-h-5 flex-wrap items-center gap-x-1 text-[12.5px] font-semibold leading-[17px]">
        <Link href={`/tasks/${changes.slug}`} className="word">
          {changes.reference}
        </Link>
        {changes.change === "passed" && (
          <span className="inline-flex items-center gap-1">
            <span className="font-normal text-soft">· to</span>
            {(slip.theirs ?? slip.owner) && (
              <PersonLabel
                initials={(slip.theirs ?? slip.owner)!.initials}
                name={(slip.theirs ?? slip.owner)!.name}
                isTeam={!slip.theirs}
                size="small"
              />
            )}
            <OwnerWord
              owner={slip.owner}
              theirs={slip.theirs}
              outside={props.outside}
              isOpen={editing === "owner"}
              onOpen={(isOpen) => props.onEdit(isOpen ? "owner" : null)}
              onPick={(to) => void props.onChange({ field: "owner", to })}
              missing="somebody?"
              isShort
            />
          </span>
        )}
        {hasDue && (
          <span className="whitespace-nowrap">
            <span className="mr-1.5 font-normal text-soft">·</span>
            <DueWord
              due={slip.due}
              others={slip.otherDays}
              isOpen={editing === "due"}
              onOpen={(isOpen) => props.onEdit(isOpen ? "due" : null)}
              onSave={(to) => props.onChange({ field: "due", to })}
            />
            {editing !== "due" && (
              <span className="font-medium text-soft" aria-hidden="true">
                , {sayDistance(slip.due!.day, today, calendar)}
              </span>
            )}
          </span>
        )}
      </div>
      {isLit && <SlipFoot slip={slip} keep={keepVerb(slip)} onKeep={props.onKeep} onBrushOff={props.onBrushOff} />}
    </article>
  );
}
