"use client";

import { useState } from "react";
import type { Correspondent } from "../../core/letters/letter";
import { personInWords } from "../../core/letters/person-in-words";

function said(people: readonly Correspondent[]): string {
  return people.map(({ name, address }) => (name && name !== address ? `${name} <${address}>` : address)).join(", ");
}

/** "Ada Lund <ada@beech.example>, bo@oak.example" as people; a bare name is looked up among those who are known. */
function readPeople(text: string, known: readonly Correspondent[]): Correspondent[] {
  return text
    .split(/[,;](?![^<]*>)/)
    .map((one) => one.trim())
    .filter((one) => one !== "")
    .map((one) => {
      if (!one.includes("@")) {
        const fits = known.filter(
          ({ name }) =>
            name
              .toLowerCase()
              .split(/\s+/)
              .some((word) => word.startsWith(one.toLowerCase())) || name.toLowerCase().startsWith(one.toLowerCase()),
        );
        if (fits.length === 1) return fits[0]!;
      }
      return personInWords(one) ?? { name: "", address: one };
    })
    .map(({ name, address }) => (address === "" ? { name: "", address: name } : { name, address }));
}

/** Whom a letter goes to, in one typed line. */
export function PeopleField(props: {
  readonly label: string;
  readonly people: readonly Correspondent[];
  readonly known: readonly Correspondent[];
  readonly onChange: (people: readonly Correspondent[]) => void;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <label className="flex items-baseline gap-2 border-b border-hairline py-1">
      <span className="w-12 flex-none text-[12px] text-soft">{props.label}</span>
      <input
        className="min-w-0 flex-1 bg-transparent text-[13.5px]"
        value={typed ?? said(props.people)}
        placeholder={props.label === "To" ? "a name you know, or an address" : ""}
        onFocus={() => setTyped(said(props.people))}
        onChange={(event) => {
          setTyped(event.target.value);
          props.onChange(readPeople(event.target.value, props.known));
        }}
        onBlur={() => setTyped(null)}
      />
    </label>
  );
}
