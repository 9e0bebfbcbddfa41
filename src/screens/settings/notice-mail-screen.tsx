"use client";

import { useEffect, useState } from "react";
import type { NoticeMail } from "../../core/hearing/heard";
import { areDesktopNoticesOn, turnDesktopNotices } from "../house/use-desktop-notices";
import { ServerSaysNo, tell } from "../parts/client";
import { useSay } from "../parts/says";

const WAYS: readonly (readonly [NoticeMail, string, string])[] = [
  [
    "as it comes",
    "What is yours at once, the rest in the digest",
    "What is given to you, asked of you or changed in your own work comes within minutes, unless you have seen it here.",
  ],
  ["digest", "Everything in the digest", "Nothing between the times below."],
  ["never", "Nothing by mail", "It all stands in the list at the top of every page."],
];

/** How notices reach one by mail, and at which times what can wait is gathered. */
export function NoticeMailScreen({
  first,
  canSend,
}: {
  first: { readonly mail: NoticeMail; readonly times: readonly string[] };
  canSend: boolean;
}) {
  const [mail, setMail] = useState(first.mail);
  const [times, setTimes] = useState(first.times.join(", "));
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
      await tell("/api/notice-mail", { mail, times: times.split(/[\s,;]+/).filter((time) => time !== "") });
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
          <h1 className="text-[20px]">Mail about your tasks</h1>
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
        <div className="flex flex-wrap items-end gap-3 px-5 py-3">
          <label className="min-w-[220px] flex-1">
            <span className="block text-[12.5px] text-soft">Times of the digest</span>
            <input className="field w-full" value={times} onChange={(event) => setTimes(event.target.value)} />
          </label>
          <button type="submit" className="btn">
            Keep it so
          </button>
        </div>
        <label className="flex gap-3 border-t border-hairline px-5 py-3">
          <input
            type="checkbox"
            className="mt-1"
            checked={isShownHere}
            onChange={(event) => void showHere(event.target.checked)}
          />
          <span>
            <b className="block">Show what is mine as a notice of this browser, too</b>
            <span className="block text-[12.5px] text-soft">
              While a page of Jam Kettle is open and you are looking elsewhere; on this machine alone.
            </span>
          </span>
        </label>
      </form>
    </div>
  );
}
