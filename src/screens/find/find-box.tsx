"use client";

import { useQuery } from "@tanstack/react-query";
import { useRouter } from "next/navigation";
import { useDeferredValue, useRef, useState } from "react";
import { sayMoment } from "../../core/time/say-day";
import type { FoundView } from "../../core/views/find-view";
import { ask } from "../parts/client";
import { useToday } from "../parts/house";
import { useKeys } from "../parts/keys";
import { useIsPhone } from "../parts/use-is-phone";

interface Find {
  readonly id: string;
  readonly href: string;
  readonly group: string;
  readonly name: string;
  readonly note: string;
}

/** The box in the bar: finds letters, tasks and people by the beginnings of words. */
export function FindBox() {
  const router = useRouter();
  const isPhone = useIsPhone();
  const { now } = useToday();
  const field = useRef<HTMLInputElement>(null);
  const [words, setWords] = useState("");
  const [isOpen, setOpen] = useState(false);
  const [here, setHere] = useState(0);
  const asked = useDeferredValue(words.trim());
  const { data, isFetching } = useQuery({
    queryKey: ["find", asked],
    queryFn: () => ask<FoundView>(`/api/find?words=${encodeURIComponent(asked)}`),
    enabled: asked.length > 0,
    placeholderData: (old) => old,
  });
  useKeys({ "/": () => field.current?.focus() });
  const finds: Find[] = data && asked !== "" ? findsOf(data, (at) => sayMoment(at, now)) : [];
  const go = (find: Find | undefined) => {
    if (!find) return;
    setOpen(false);
    setWords("");
    field.current?.blur();
    router.push(find.href);
  };
  return (
    <div className="relative w-[190px] max-sm:w-8 max-sm:focus-within:absolute max-sm:focus-within:right-2 max-sm:focus-within:z-50 max-sm:focus-within:w-[calc(100vw-16px)]">
      <input
        ref={field}
        role="combobox"
        aria-label="Find mail, tasks, people"
        aria-expanded={isOpen && asked !== ""}
        aria-controls="finds"
        aria-activedescendant={isOpen && finds[here] ? `find-${here}` : undefined}
        className="find-field"
        placeholder={isPhone ? "Find" : "Find mail, tasks, people"}
        autoComplete="off"
        value={words}
        onChange={(event) => {
          setWords(event.target.value);
          setHere(0);
          setOpen(true);
        }}
        onFocus={() => setOpen(true)}
        onBlur={() => setTimeout(() => setOpen(false), 120)}
        onKeyDown={(event) => {
          if (event.key === "ArrowDown" || event.key === "ArrowUp") {
            event.preventDefault();
            setHere((at) => Math.max(0, Math.min(finds.length - 1, at + (event.key === "ArrowDown" ? 1 : -1))));
          } else if (event.key === "Enter") go(finds[here]);
          else if (event.key === "Escape") {
            setWords("");
            field.current?.blur();
          }
        }}
      />
      <span className="pointer-events-none absolute right-3 top-[5px] text-[13px]" aria-hidden="true">
        /
      </span>
      {isOpen && asked !== "" && (
        <div
          id="finds"
          role="listbox"
          aria-label="Found"
          className="gloss absolute right-0 top-9 w-[420px] max-w-[calc(100vw-16px)] !max-w-[420px] text-ink max-sm:right-[-50px]"
        >
          {finds.length === 0 && (
            <div className="px-2 py-2 text-soft">
              {isFetching ? "Looking …" : `Nothing begins with “${asked}” that you may see.`}
            </div>
          )}
          {finds.map((find, i) => (
            <div key={find.id}>
              {finds[i - 1]?.group !== find.group && (
                <div className="px-2 pb-0.5 pt-2 text-[12px] font-semibold text-soft">{find.group}</div>
              )}
              {/* biome-ignore lint/a11y/useKeyWithClickEvents: keys are handled in the field, as for every combobox */}
              <div
                id={`find-${i}`}
                role="option"
                aria-selected={i === here}
                tabIndex={-1}
                className={`gloss-row ${i === here ? "bg-act-wash" : ""}`}
                onMouseDown={(event) => event.preventDefault()}
                onClick={() => go(find)}
              >
                <span className="min-w-0 flex-1 truncate font-semibold">{find.name}</span>
                <span className="max-w-[45%] truncate text-[12px] text-soft">{find.note}</span>
              </div>
            </div>
          ))}
        </div>
      )}
    </div>
  );
}

function findsOf(found: FoundView, say: (at: number) => string): Find[] {
  return [
    ...found.tasks.map((task) => ({
      id: `t${task.slug}`,
      href: `/tasks/${task.slug}`,
      group: "Tasks",
      name: task.title,
      note: `${task.reference}, ${task.state}`,
    })),
    ...found.letters.map((letter) => ({
      id: `l${letter.id}`,
      href: `/letters/${letter.id}`,
      group: "Letters",
      name: letter.subject || "(no subject)",
      note: `${letter.from}, ${say(letter.sentAt)}`,
    })),
    ...found.people.map((person) => ({
      id: `p${person.id}`,
      href: person.isTeam ? `/tasks?person=${person.id}` : `/people/${person.id}`,
      group: "People",
      name: person.name,
      note: `${person.firm ? `${person.firm}, ` : ""}${person.address}`,
    })),
  ];
}
