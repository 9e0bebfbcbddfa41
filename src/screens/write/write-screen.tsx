"use client";

import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Correspondent } from "../../core/letters/letter";
import type { OutgoingView } from "../../core/views/views";
import { ask } from "../parts/client";
import { useActs } from "../parts/use-acts";
import { OnTheirWay } from "./on-its-way";
import { WritingPaper } from "./writing-paper";

/** A new letter, and one's own letters that are not out yet. */
export function WriteScreen(props: { known: readonly Correspondent[]; outgoing: readonly OutgoingView[] }) {
  const { run } = useActs();
  const [count, setCount] = useState(0);
  const { data: outgoing } = useQuery({
    queryKey: ["outgoing"],
    queryFn: () => ask<readonly OutgoingView[]>("/api/outgoing"),
    initialData: props.outgoing,
  });
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px]">
      <section className="pan mx-auto max-w-[760px] px-6 py-4" aria-label="A letter">
        <h1 className="text-[20px]">A letter</h1>
        <WritingPaper
          key={count}
          about="new letter"
          answers={null}
          known={props.known}
          also={null}
          onSend={(letter) =>
            run(
              "write",
              { ...letter, taskId: null },
              { says: () => "On its way in a few seconds. Until then it can be taken back." },
            )
          }
          onClose={() => setCount(count + 1)}
        />
        {outgoing.length > 0 && <h2 className="mt-6 text-[16px]">Not out yet</h2>}
        <OnTheirWay
          letters={outgoing}
          onAgain={(outgoingId) => void run("send again", { outgoingId }, { says: () => "Tried again." })}
        />
      </section>
    </div>
  );
}
