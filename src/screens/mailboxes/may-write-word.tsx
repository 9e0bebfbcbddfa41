"use client";

import { useState } from "react";
import { MAY_WRITE, type MayWrite } from "../../core/letters/ways";
import { PickWord } from "../words/pick-word";

/** Who may write to an address, as a word that can be changed. */
export function MayWriteWord({ rule, onPick }: { rule: MayWrite; onPick: (rule: MayWrite) => void }) {
  const [isOpen, open] = useState(false);
  return (
    <PickWord
      label="Who may write"
      shown={rule}
      picks={() => MAY_WRITE.map((one) => ({ id: one, value: one, name: one, matches: [one] }))}
      isOpen={isOpen}
      onOpen={open}
      onPick={onPick}
    />
  );
}
