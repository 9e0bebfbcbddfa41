"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import type { NoticeMail } from "../../core/hearing/heard";
import type { HearingWishes, HowHeard, News } from "../../core/hearing/wishes";
import { areDesktopNoticesOn, turnDesktopNotices } from "../house/use-desktop-notices";
import { ServerSaysNo, tell } from "../parts/client";
import { useHouse } from "../parts/house";
import { useSay } from "../parts/says";
import { useActs } from "../parts/use-acts";
import { PickWord } from "../words/pick-word";

const WAYS: readonly (readonly [NoticeMail, string, string])[] = [
  [
    "as it comes",
    "Each as it says below",
    "Within minutes what comes at once, unless you have seen it here; the rest with the digest.",
  ],
  ["digest", "Everything in the digest", "Nothing between your rounds."],
  ["never", "Nothing by mail", "It all stands in the list at the top of every page."],
];

const KINDS: readonly (readonly [News, string, HowHeard])[] = [
  ["mine", "What is given to you, asked of you, or names you", "at once"],
  ["own work", "What others change or write in your own tasks", "at once"],
  ["reminders", "Reminders of your own work", "at once"],
  ["given", "What becomes of what you gave to others", "digest"],
  ["posted", "What you are kept posted on", "digest"],
];

const HOW: Readonly<Record<HowHeard, string>> = {
  "at once": "at once",
  digest: "with the digest",
  never: "never; it stands in the list",
};

interface Settings {
  readonly mail: NoticeMail;
  readonly times: readonly string[];
  readonly wishes: HearingWishes;
  readonly quietFrom: string | null;
  readonly quietUntil: string | null;
}

/** How loudly one sort of news comes, as a word that is changed. */
function KindWord({ how, name, onPick }: { how: HowHeard; name: string; onPick: (how: HowHeard) => void }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <PickWord
      label={name}
      shown={HOW[how]}
      isOpen={isOpen}
      onOpen={setOpen}
      width={170}
      picks={() =>
        (Object.keys(HOW) as HowHeard[]).map((value) => ({ id: value, value, name: HOW[value], matches: [HOW[value]] }))
      }
      onPick={onPick}
    />
  );
}

/** How notices reach one beside the list, when the rounds are, when it is quiet, and what one is kept posted on. */
export function NoticeMailScreen({
  first,
  posted,
  canSend,
}: {
  first: Settings;
  posted: readonly { readonly projectId: string; readonly workstreamId: string | null; readonly name: string }[];
  canSend: boolean;
}) {
  const { me } = useHouse();
  const router = useRouter();
  const { run } = useActs();
  const [mail, setMail] = useState(first.mail);
  const [times, setTimes] = useState(first.times.join(", "));
  const [wishes, setWishes] = useState(first.wishes);
  const [quiet, setQuiet] = useState({ from: first.quietFrom ?? "", until: first.quietUntil ?? "" });
  const say = useSay();
  const [isShownHere, setShownHere] = useState(false);
  useEffect(() => setShownHere(areDesktopNoticesOn()), []);
  const showHere = async (on: boolean) => {
    const isOn = await turnDesktopNotices(on);
    setShownHere(isOn);
    if (on && !isOn) say({ text: "This browser does not allow notices from here.", isFault: true });
  };
  const save = async () => {
    try {
      await tell("/api/notice-mail", {
        mail,
        times: times.split(/[\s,;]+/).filter((time) => time !== ""),
        wishes,
        quietFrom: quiet.from.trim() || null,
        quietUntil: quiet.until.trim() || null,
      });
      say({ text: "Kept." });
    } catch (error) {
      say({ text: error instanceof ServerSaysNo ? error.message : "Nothing was changed.", isFault: true });
    }
  };
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px] max-sm:px-2">
      <form
        className="pan mx-auto max-w-[720px]"
        aria-label="Mail about your tasks"
        onSubmit={(event) => {
          event.preventDefault();
          void save();
        }}
      >
        <div className="border-b border-hairline px-5 py-3">
          <h1 className="text-[20px]">Mail about your tasks, and your rounds</h1>
          <p className="text-[13px] text-soft">
            {canSend
              ? "What you have seen here is never mailed as well, and nothing comes of what you did yourself."
              : "No mail server is set up here for letters that go out (JAM_SMTP_OUT): nothing comes by mail yet."}
          </p>
        </div>
        <fieldset className="border-b border-hairline px-5 py-3">
          <legend className="sr-only">How it comes</legend>
          {WAYS.map(([value, name, words]) => (
            <label key={value} className="flex gap-3 py-1.5">
              <input
                type="radio"
                name="mail"
                className="mt-1"
                checked={mail === value}
                onChange={() => setMail(value)}
              />
              <span>
                <b className="block">{name}</b>
                <span className="block text-[12.5px] text-soft">{words}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <ul className="border-b border-hairline px-5 py-3 text-[13.5px]" aria-label="How each sort of news comes">
          {KINDS.map(([kind, name, usual]) => (
            <li key={kind} className="flex flex-wrap gap-x-1.5 py-[3px]">
              <b>{name}:</b>
              <KindWord
                name={name}
                how={wishes[kind] ?? usual}
                onPick={(how) => setWishes({ ...wishes, [kind]: how })}
              />
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap items-end gap-3 border-b border-hairline px-5 py-3">
          <label className="min-w-[200px] flex-1">
            <span className="block text-[12.5px] text-soft">Times of your rounds, and of the digest</span>
            <input className="field w-full" value={times} onChange={(event) => setTimes(event.target.value)} />
          </label>
          <label className="w-[110px]">
            <span className="block text-[12.5px] text-soft">Quiet from</span>
            <input
              className="field w-full"
              placeholder="19:00"
              value={quiet.from}
              onChange={(event) => setQuiet({ ...quiet, from: event.target.value })}
            />
          </label>
          <label className="w-[110px]">
            <span className="block text-[12.5px] text-soft">until</span>
            <input
              className="field w-full"
              placeholder="07:00"
              value={quiet.until}
              onChange={(event) => setQuiet({ ...quiet, until: event.target.value })}
            />
          </label>
          <button type="submit" className="btn">
            Keep it so
          </button>
        </div>
        <label className="flex gap-3 px-5 py-3">
          <input
            type="checkbox"
            className="mt-1"
            checked={isShownHere}
            onChange={(event) => void showHere(event.target.checked)}
          />
          <span>
            <b className="block">Show what comes at once as a notice of this browser, too</b>
            <span className="block text-[12.5px] text-soft">
              While a page of Jam Kettle is open and you are looking elsewhere; on this machine alone, never in quiet
              hours.
            </span>
          </span>
        </label>
        <div className="border-t border-hairline px-5 py-3 text-[13.5px]">
          <b className="block">Kept posted on every task of</b>
          {posted.length === 0 ? (
            <span className="text-[12.5px] text-soft">
              Nothing yet. A task’s sheet offers its project and its workstream under “Hears”.
            </span>
          ) : (
            <ul>
              {posted.map((place) => (
                <li key={place.name} className="flex gap-2 py-[2px]">
                  {place.name}
                  <button
                    type="button"
                    className="word"
                    aria-label={`No longer kept posted on ${place.name}`}
                    onClick={() =>
                      void run(
                        "keep posted at",
                        { projectId: place.projectId, workstreamId: place.workstreamId, personId: me.id, hears: false },
                        { says: () => `No longer kept posted on ${place.name}.`, onDone: () => router.refresh() },
                      )
                    }
                  >
                    no longer
                  </button>
                </li>
              ))}
            </ul>
          )}
        </div>
      </form>
    </div>
  );
}
