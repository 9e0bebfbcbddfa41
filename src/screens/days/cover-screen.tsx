"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import { useState } from "react";
import { readAway } from "../../core/days/read-away";
import { firstNameOf } from "../../core/letters/first-name";
import { sayDay, sayDistance } from "../../core/time/say-day";
import type { AwayView, CoverView } from "../../core/views/days-view";
import { ask, tell } from "../parts/client";
import { useHouse, useToday } from "../parts/house";
import { LineField } from "../parts/line-field";
import { PersonLabel } from "../parts/marks";
import { useActs } from "../parts/use-acts";
import { useDraft } from "../parts/use-draft";
import { PickWord } from "../words/pick-word";
import { HappenedWhile } from "./happened-while";

/** One line in which somebody says that they, or whom they lead, are away. */
function AwayLine({ isLead, onDone }: { isLead: boolean; onDone: () => void }) {
  const { me, team, figures } = useHouse();
  const { now, today, calendar } = useToday();
  const { run } = useActs();
  const [line, setLine] = useDraft("away");
  const [whoId, setWho] = useState(me.id);
  const [isOpen, setOpen] = useState(false);
  const read = readAway(
    line,
    now,
    calendar,
    figures,
    team.filter((person) => person.id !== whoId),
  );
  const [coverId] = read.covers;
  const cover = team.find((person) => person.id === coverId);
  const who = team.find((person) => person.id === whoId) ?? me;
  const isReady = read.fromDay !== null && read.backDay !== null && read.covers.length <= 1;
  const keep = async () => {
    if (!isReady) return;
    const isKept = await run(
      "go away",
      {
        personId: whoId,
        fromDay: read.fromDay,
        backDay: read.backDay,
        coverId: coverId ?? null,
        withMailboxes: whoId === me.id && read.withMailboxes && coverId !== undefined,
      },
      { says: () => (whoId === me.id ? "Kept. Have a good time." : `Kept for ${who.name}.`) },
    );
    if (isKept) {
      setLine("");
      onDone();
    }
  };
  const day = (of: string | null) => (of ? `${sayDay(of, today)}, ${sayDistance(of, today, calendar)}` : "…");
  return (
    <>
      {isLead && (
        <p className="border-b border-hairline bg-wash px-4 pt-2 text-[13px]">
          For{" "}
          <PickWord
            label="Who is away"
            shown={<b>{whoId === me.id ? "me" : who.name}</b>}
            isOpen={isOpen}
            onOpen={setOpen}
            picks={() =>
              team.map((person) => ({
                id: person.id,
                value: person.id,
                name: person.id === me.id ? "me" : person.name,
                matches: [person.name, ...person.nicknames],
              }))
            }
            onPick={setWho}
          />
        </p>
      )}
      <LineField
        label="When, and who covers"
        placeholder={`monday until friday, ${firstNameOf(team.find((person) => person.id !== me.id)?.name ?? "") || "who covers"}`}
        line={line}
        onLine={setLine}
        does="Keep it so"
        isReady={isReady}
        onDo={() => void keep()}
        onClose={onDone}
        columns="1.25fr 1.25fr .9fr 1.2fr"
        glossed={[
          ["Away from", day(read.fromDay)],
          ["Back on", day(read.backDay)],
          ["Covers", read.covers.length > 1 ? "Name one only" : (cover?.name ?? "nobody")],
          [
            "Own mailboxes",
            whoId !== me.id
              ? "stay closed"
              : read.withMailboxes && cover
                ? `${cover.name} may read them`
                : "stay closed; “with my mail” opens them",
          ],
        ]}
      />
    </>
  );
}

function AbsenceRow({ away, onEnd }: { away: AwayView; onEnd: () => void }) {
  const { me, team } = useHouse();
  const { today, calendar } = useToday();
  const person = team.find((one) => one.id === away.personId);
  const isOn = away.state === "on";
  return (
    <li className="flex items-center gap-2.5 border-t border-hairline px-5 py-2 text-[13.5px] first:border-t-0">
      <PersonLabel initials={person?.initials ?? "?"} name={away.name} isTeam size="small" />
      <span className="min-w-0 flex-1">
        <b>{away.personId === me.id ? "You" : away.name}</b>{" "}
        <span className={isOn ? "font-semibold text-near" : "text-soft"}>
          {isOn ? "away now" : `from ${sayDay(away.fromDay, today)}, ${sayDistance(away.fromDay, today, calendar)}`}
        </span>
        <span className="block text-[12.5px] text-soft">
          Back {sayDay(away.backDay, today)}, {sayDistance(away.backDay, today, calendar)} ·{" "}
          {away.coverName
            ? `${away.coverId === me.id ? "you cover" : `${away.coverName} covers`}${away.withMailboxes ? ", with their own mailboxes" : ""}`
            : "nobody covers"}
        </span>
      </span>
      {away.mayEnd && (
        <button type="button" className="btn is-small is-line" onClick={onEnd}>
          {isOn ? (away.personId === me.id ? "I am back" : "Back already") : "Call it off"}
        </button>
      )}
    </li>
  );
}

/** Who is away, who covers, and what happened meanwhile. */
export function CoverScreen({ first }: { first: CoverView }) {
  const queries = useQueryClient();
  const { run } = useActs();
  const { today } = useToday();
  const [isMaking, setMaking] = useState(false);
  const { data } = useQuery({
    queryKey: ["cover"],
    queryFn: () => ask<CoverView>("/api/cover"),
    initialData: first,
  });
  const seen = async () => {
    await tell("/api/cover", {});
    await queries.invalidateQueries({ queryKey: ["cover"] });
  };
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px] max-sm:px-2">
      <div className="mx-auto flex max-w-[860px] flex-col gap-[14px]">
        {data.own && (
          <section className="pan" aria-label="While you were away">
            <div className="flex flex-wrap items-center gap-3 px-5 py-3">
              <div className="min-w-0 flex-1">
                <h1 className="text-[20px]">While you were away</h1>
                <p className="text-[12.5px] text-soft">
                  From {sayDay(data.own.away.fromDay, today)}
                  {data.own.away.coverName
                    ? `; ${data.own.away.coverName} looked after your work.`
                    : "; nobody covered."}
                </p>
              </div>
              <button type="button" className="btn" onClick={() => void seen()}>
                I have seen it
              </button>
            </div>
            <HappenedWhile happened={data.own} isOwn />
          </section>
        )}
        {data.covering.map((one) => (
          <section key={one.away.id} className="pan" aria-label={`You cover for ${one.away.name}`}>
            <div className="px-5 py-3">
              <h2 className="text-[18px]">You cover for {one.away.name}</h2>
              <p className="text-[12.5px] text-soft">
                Until {sayDay(one.away.backDay, today)}. What you do with their work says that you did it for them, and
                what they are told you are told, too.
              </p>
              <p className="mt-2 flex flex-wrap gap-2">
                <Link className="btn is-small is-line" href={`/tasks?person=${one.away.personId}`}>
                  Their tasks, {one.open}
                </Link>
                <Link className="btn is-small is-line" href={`/waiting?for=${one.away.personId}`}>
                  What they wait for, {one.waits}
                </Link>
                {one.away.withMailboxes && (
                  <Link className="btn is-small is-line" href="/sort">
                    Letters in their own mailboxes, {one.letters}
                  </Link>
                )}
              </p>
            </div>
            <HappenedWhile happened={one} isOwn={false} />
          </section>
        ))}
        <section className="pan" aria-label="Who is away">
          <div className="flex flex-wrap items-center gap-3 border-b border-hairline px-5 py-3">
            <div className="min-w-0 flex-1">
              <h2 className="text-[18px]">Who is away, and who covers</h2>
              <p className="text-[12.5px] text-soft">
                Nothing comes by mail to somebody who is away; one letter tells them what happened once they are back.
              </p>
            </div>
            {!isMaking && (
              <button type="button" className="btn" onClick={() => setMaking(true)}>
                I am away
              </button>
            )}
          </div>
          {isMaking && <AwayLine isLead={data.isLead} onDone={() => setMaking(false)} />}
          {data.absences.length === 0 ? (
            <p className="px-5 py-3 text-[13px] text-soft">Everybody is there, and nobody has said that they go.</p>
          ) : (
            <ul aria-label="Times away">
              {data.absences.map((away) => (
                <AbsenceRow
                  key={away.id}
                  away={away}
                  onEnd={() =>
                    void run(
                      "come back",
                      { awayId: away.id },
                      { says: () => (away.state === "on" ? "Back. Here is what happened." : "Called off.") },
                    )
                  }
                />
              ))}
            </ul>
          )}
        </section>
      </div>
    </div>
  );
}
