"use client";

import { dayOf, timeOf } from "../../core/time/moment";
import { sayDay } from "../../core/time/say-day";
import type { LetterView } from "../../core/views/views";
import { useHouse, useToday } from "../parts/house";
import { PersonLabel } from "../parts/marks";

/** "to you · copy to Mair Penhallow": whom a letter went to, the viewer as "you". */
function useRecipients(letter: LetterView): string {
  const { me } = useHouse();
  const names = (people: LetterView["to"]) => {
    const shown = people.slice(0, 4).map((who) => (who.address === me.address ? "you" : who.name || who.address));
    return shown.join(", ") + (people.length > 4 ? ` and ${people.length - 4} more` : "");
  };
  const parts = [
    letter.to.length > 0 ? `to ${names(letter.to)}` : "to nobody named",
    letter.cc.length > 0 ? `copy to ${names(letter.cc)}` : "",
  ];
  return parts.filter(Boolean).join(" · ");
}

/** When a letter was written: in the reader's zone, and in the writer's where the clocks differ. */
export function useWritten(letter: { sentAt: number; offset: string; isDated: boolean }): string {
  const { now } = useToday();
  const { zone } = useHouse();
  const today = dayOf(now);
  const mine = { at: letter.sentAt, zone };
  const theirs = { at: letter.sentAt, zone: letter.offset };
  const say = (moment: typeof mine) => `${sayDay(dayOf(moment), today)}, ${timeOf(moment)}`;
  if (!letter.isDated) return `${say(mine)}, when it came: the letter has no date that can be read`;
  const differs = timeOf(mine) !== timeOf(theirs) || dayOf(mine) !== dayOf(theirs);
  return differs ? `${say(mine)} here, ${say(theirs)} where it was written` : say(mine);
}

/** Who wrote, to whom, and when. */
export function LetterHead({ letter }: { letter: LetterView }) {
  const recipients = useRecipients(letter);
  const written = useWritten(letter);
  const { now } = useToday();
  const day = (at: number) => sayDay(dayOf({ at, zone: now.zone }), dayOf(now));
  return (
    <div className="flex items-center gap-[10px]">
      <PersonLabel initials={letter.from.initials} name={letter.from.name} isTeam={letter.from.isTeam} size="large" />
      <div className="min-w-0">
        <div className="truncate text-[13.5px] leading-[18px]" title={letter.from.address}>
          <b>{letter.from.name}</b>
          {letter.from.firm ? `, ${letter.from.firm}` : ""}
        </div>
        <div className="text-[12px] leading-[16px] text-soft">
          {recipients} · {written}
        </div>
        {letter.passedOn && (
          <div className="text-[12px] leading-[16px] text-soft">
            passes on what <b className="text-ink">{letter.passedOn.from.name || letter.passedOn.from.address}</b> wrote
            {letter.passedOn.sentAt === null ? "" : `, ${day(letter.passedOn.sentAt)}`}
          </div>
        )}
        {letter.sealed === "signed" && (
          <div className="text-[12px] leading-[16px] text-soft">signed; the signature is not checked here</div>
        )}
      </div>
    </div>
  );
}
