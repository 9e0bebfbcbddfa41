"use client";

import Link from "next/link";
import { CHANGE_WORDS } from "../../core/following/change-words";
import { firstNameOf } from "../../core/letters/first-name";
import { isSure } from "../../core/reading/slip";
import { sayDistance } from "../../core/time/say-day";
import type { SlipView } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { KIND_COLOURS, KIND_NAMES, KindMark, PersonLabel, PriorityRule } from "../parts/marks";
import { EstimateWord } from "../words/estimate-word";
import { KindWord, OwnerWord, PriorityWord, ProjectWord } from "../words/picks";
import { DueWord, TitleWord } from "../words/text-words";
import { ChangeCard } from "./change-card";
import type { SlipCardProps, SlipField } from "./slip-card-props";
import { SlipFoot } from "./slip-foot";

function becomes(slip: SlipView, myId: string): string {
  if (slip.theirs) return `you wait for ${firstNameOf(slip.theirs.name)}`;
  if (slip.kind === "question") return "answer or task";
  if (slip.kind === "trouble" && !slip.owner) return "nobody has it yet";
  return slip.owner?.id === myId ? "becomes your task" : "becomes a task";
}

/** A slip: a task-to-be beside its passage. Every value is a word that can be changed in place. */
export function SlipCard(props: SlipCardProps) {
  const { slip, editing, isLit } = props;
  const { me } = useHouse();
  const { today, calendar } = useToday();
  const isUnsure = !isSure(slip);
  const distance = slip.due ? sayDistance(slip.due.day, today, calendar) : "";
  const open = (field: SlipField) => ({
    isOpen: editing === field,
    onOpen: (isOpen: boolean) => props.onEdit(isOpen ? field : null),
  });
  if (slip.task) {
    return (
      <article className="slip !py-2 text-[12.5px]" aria-label={`Kept: ${slip.task.title}`}>
        <span className="flex items-center gap-2">
          <KindMark kind={slip.kind} number={props.number} />
          <Link href={`/tasks/${slip.task.slug}`} className="word font-bold">
            {slip.task.reference}
          </Link>
          <span className="min-w-0 flex-1 truncate">{slip.task.title}</span>
          <span className="text-going font-semibold">
            {slip.changes
              ? CHANGE_WORDS[slip.changes.change]
              : slip.task.state === "to begin"
                ? "kept"
                : slip.task.state}
          </span>
        </span>
      </article>
    );
  }
  if (slip.changes) return <ChangeCard {...props} />;
  return (
    <article
      className={`slip ${isLit ? "is-lit" : ""} ${isUnsure ? "is-unsure" : ""}`}
      aria-label={`${KIND_NAMES[slip.kind]}: ${slip.title}`}
      aria-current={isLit ? "true" : undefined}
      onFocus={props.onLight}
      onMouseDown={props.onLight}
    >
      <div className={`flex items-center justify-between text-[12px] leading-[17px] ${isLit ? "min-h-6" : ""}`}>
        <span className="flex items-center gap-[7px]">
          <KindMark kind={slip.kind} number={props.number} />
          {isLit ? (
            <KindWord
              kind={slip.kind}
              isUnsure={isUnsure}
              {...open("kind")}
              onPick={(to) => void props.onChange({ field: "kind", to })}
            />
          ) : (
            <b className={KIND_COLOURS[slip.kind]}>{isUnsure ? `${KIND_NAMES[slip.kind]}?` : KIND_NAMES[slip.kind]}</b>
          )}
          {isUnsure && <span className="text-soft">not sure</span>}
        </span>
        <span className="text-soft">{becomes(slip, me.id)}</span>
      </div>
      <TitleWord
        title={slip.title}
        {...open("title")}
        onSave={(title) => props.onChange({ field: "title", to: title })}
        className={`${isLit ? "mt-1" : "mt-px"} text-[14.5px] font-bold leading-[19px]`}
      />
      <div className="mt-1 flex min-h-5 flex-wrap items-center gap-x-1 text-[12.5px] font-semibold leading-[17px]">
        {slip.theirs ? (
          <PersonLabel initials={slip.theirs.initials} name={slip.theirs.name} isTeam={false} size="small" />
        ) : slip.owner ? (
          <PersonLabel initials={slip.owner.initials} name={slip.owner.name} isTeam size="small" />
        ) : null}
        <OwnerWord
          owner={slip.owner}
          theirs={slip.theirs}
          outside={props.outside}
          {...open("owner")}
          onPick={(to) => void props.onChange({ field: "owner", to })}
          suggested={slip.suggested}
          missing={slip.suggested ? `give to ${slip.suggested.name}?` : "give to somebody?"}
          isShort={distance.length > 9}
        />
        <span className="whitespace-nowrap">
          <span className="mr-1.5 font-normal text-soft">·</span>
          <DueWord
            due={slip.due}
            others={slip.otherDays}
            {...open("due")}
            onSave={(to) => props.onChange({ field: "due", to })}
          />
          {slip.due && editing !== "due" && (
            <span className="font-medium text-soft" aria-hidden="true">
              , {distance}
            </span>
          )}
        </span>
        <span className="inline-flex items-center gap-1.5">
          <span className="font-normal text-soft">·</span>
          <PriorityRule priority={slip.priority} height={14} />
          <PriorityWord
            priority={slip.priority}
            {...open("priority")}
            onPick={(to) => void props.onChange({ field: "priority", to })}
          />
        </span>
        {slip.estimate !== null && (
          <span className="whitespace-nowrap">
            <span className="font-normal text-soft">takes </span>
            <EstimateWord
              estimate={slip.estimate}
              {...open("estimate")}
              onPick={(to) => void props.onChange({ field: "estimate", to })}
            />
          </span>
        )}
      </div>
      {isLit && (
        <SlipFoot
          slip={slip}
          keep="Keep"
          onKeep={props.onKeep}
          onHandOver={props.onHandOver}
          onBrushOff={props.onBrushOff}
        >
          <ProjectWord
            projectId={slip.projectId}
            workstreamId={slip.workstreamId}
            withWorkstreams
            {...open("project")}
            onPick={(to) => void props.onChange({ field: "project", to })}
          />
        </SlipFoot>
      )}
      {isLit && props.handing && <div className="mt-2">{props.handing}</div>}
    </article>
  );
}
