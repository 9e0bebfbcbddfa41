"use client";

import Link from "next/link";
import { useState } from "react";
import { isSure } from "../../core/reading/slip";
import type { FieldChange } from "../../core/tasks/decisions/change-fields";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { CorrespondentView, SlipView } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { KIND_COLOURS, KIND_NAMES, KindMark, PersonLabel, PriorityRule } from "../parts/marks";
import { OwnerWord, PriorityWord, ProjectWord } from "../words/picks";
import { DueWord, TitleWord } from "../words/text-words";

export type SlipField = "title" | "owner" | "due" | "priority" | "project";

function becomes(slip: SlipView, myId: string): string {
  if (slip.theirs) return `you wait for ${slip.theirs.name.split(" ")[0]}`;
  if (slip.kind === "question") return "answer or task";
  if (slip.kind === "trouble" && !slip.owner) return "nobody has it yet";
  return slip.owner?.id === myId ? "becomes your task" : "becomes a task";
}

/** A slip: a task-to-be beside its passage. Every value is a word that can be changed in place. */
export function SlipCard(props: {
  readonly slip: SlipView;
  readonly number: number | null;
  readonly isLit: boolean;
  readonly editing: SlipField | null;
  readonly outside: readonly CorrespondentView[];
  readonly onLight: () => void;
  readonly onEdit: (field: SlipField | null) => void;
  readonly onChange: (change: FieldChange) => Promise<boolean>;
  readonly onKeep: () => void;
  readonly onBrushOff: () => void;
}) {
  const { slip, editing, isLit } = props;
  const { me } = useHouse();
  const { today, calendar } = useToday();
  const [isWhyShown, showWhy] = useState(false);
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
          <span className="text-going font-semibold">{slip.task.state === "to begin" ? "kept" : slip.task.state}</span>
        </span>
      </article>
    );
  }
  return (
    <article
      className={`slip ${isLit ? "is-lit" : ""} ${isUnsure ? "is-unsure" : ""}`}
      aria-label={`${KIND_NAMES[slip.kind]}: ${slip.title}`}
      aria-current={isLit ? "true" : undefined}
      onFocus={props.onLight}
      onMouseDown={props.onLight}
    >
      <div className="flex justify-between text-[12px] leading-[17px]">
        <span className="flex items-center gap-[7px]">
          <KindMark kind={slip.kind} number={props.number} />
          <b className={KIND_COLOURS[slip.kind]}>{isUnsure ? `${KIND_NAMES[slip.kind]}?` : KIND_NAMES[slip.kind]}</b>
          {isUnsure && <span className="text-soft">not sure</span>}
        </span>
        <span className="text-soft">{becomes(slip, me.id)}</span>
      </div>
      <TitleWord
        title={slip.title}
        {...open("title")}
        onSave={(title) => props.onChange({ field: "title", to: title })}
        className="mt-px text-[14.5px] font-bold leading-[19px]"
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
          missing="give to somebody?"
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
      </div>
      {isLit && (
        <div className="mt-[5px] flex items-center gap-2 text-[12px] text-soft">
          <ProjectWord
            projectId={slip.projectId}
            workstreamId={slip.workstreamId}
            withWorkstreams
            {...open("project")}
            onPick={(to) => void props.onChange({ field: "project", to })}
          />
          <button
            type="button"
            className="word font-medium max-sm:hidden"
            aria-expanded={isWhyShown}
            onClick={() => showWhy(!isWhyShown)}
          >
            why?
          </button>
          <span className="ml-auto flex gap-1">
            <button
              type="button"
              className="rounded-md px-1.5 py-0.5 font-semibold text-act hover:bg-act-wash max-sm:h-11 max-sm:rounded-[11px] max-sm:border-2 max-sm:border-rim max-sm:px-5 max-sm:text-[13px] max-sm:text-ink"
              onClick={props.onKeep}
              title="Keep this slip (K)"
            >
              Keep
            </button>
            <button
              type="button"
              className="rounded-md px-1.5 py-0.5 font-semibold text-soft hover:bg-wash max-sm:h-11 max-sm:rounded-[11px] max-sm:border-2 max-sm:border-rim max-sm:px-4 max-sm:text-[13px] max-sm:text-ink"
              onClick={props.onBrushOff}
              title="Brush this slip off (X)"
            >
              Brush off
            </button>
          </span>
        </div>
      )}
      {isLit && isWhyShown && (
        <p className="mt-1 border-t border-hairline pt-1 text-[12px] leading-[16px] text-soft">
          Because: {slip.reason}. {isUnsure && "The reader is often wrong about such passages."}
          {slip.otherDays.length > 0 &&
            ` The day could also be ${slip.otherDays
              .slice(0, 3)
              .map((day) => sayDay(day, today))
              .join(" or ")}.`}
        </p>
      )}
    </article>
  );
}
