"use client";

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from "@headlessui/react";
import { type ReactNode, useState } from "react";

/** Something that can be picked by typing the beginning of one of its words. */
export interface Pick<Value> {
  readonly id: string;
  readonly value: Value;
  readonly name: string;
  readonly matches: readonly string[];
  readonly sign?: ReactNode;
  readonly note?: string;
}

function fits(pick: Pick<unknown>, typed: string): boolean {
  const start = typed.trim().toLowerCase();
  return (
    start === "" ||
    pick.matches.some(
      (match) =>
        match
          .toLowerCase()
          .split(/[\s@.-]+/)
          .some((word) => word.startsWith(start)) || match.toLowerCase().startsWith(start),
    )
  );
}

/** A value shown as a word; opened, it is a field with the picks that fit what is typed below it. */
export function PickWord<Value>(props: {
  readonly label: string;
  readonly shown: ReactNode;
  readonly isMissing?: boolean;
  /** Asked for when the word is opened. */
  readonly picks: () => readonly Pick<Value>[];
  /** A value that is typed itself, beside those to pick from; null where what is typed is none. */
  readonly typedPick?: (typed: string) => Pick<Value> | null;
  readonly isOpen: boolean;
  readonly onOpen: (isOpen: boolean) => void;
  readonly onPick: (value: Value) => void;
  readonly width?: number;
  /** Underlined only where one points at it or reaches it by key: for words that stand in many rows. */
  readonly isQuiet?: boolean;
}) {
  const [typed, setTyped] = useState("");
  if (!props.isOpen) {
    return (
      <button
        type="button"
        className={`word ${props.isMissing ? "is-missing" : ""} ${props.isQuiet ? "is-quiet" : ""}`}
        onClick={() => props.onOpen(true)}
        title={`Change ${props.label}`}
      >
        <span className="sr-only">{props.label}: </span>
        {props.shown}
      </button>
    );
  }
  const own = props.typedPick?.(typed) ?? null;
  const picked = props.picks().filter((pick) => pick.id !== own?.id && fits(pick, typed));
  const fitting = own ? [own, ...picked] : picked;
  const close = () => {
    setTyped("");
    props.onOpen(false);
  };
  return (
    <Combobox
      immediate
      value={null as Pick<Value> | null}
      onChange={(pick) => {
        if (pick) props.onPick(pick.value);
        close();
      }}
      onClose={close}
    >
      <ComboboxInput
        autoFocus
        aria-label={props.label}
        className="word-input"
        style={{ width: props.width ?? 140 }}
        placeholder={props.label}
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === "Escape") close();
        }}
      />
      <ComboboxOptions anchor="bottom start" className="gloss max-h-72 overflow-auto" aria-label={props.label}>
        {fitting.length === 0 && <div className="px-2 py-1 text-soft">Nothing here begins with “{typed}”.</div>}
        {fitting.map((pick) => (
          <ComboboxOption key={pick.id} value={pick} className="gloss-row">
            {pick.sign}
            <span className="font-semibold">{pick.name}</span>
            {pick.note && <span className="text-soft text-[12px]">{pick.note}</span>}
          </ComboboxOption>
        ))}
      </ComboboxOptions>
    </Combobox>
  );
}
