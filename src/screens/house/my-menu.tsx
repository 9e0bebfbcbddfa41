"use client";

import { Dialog, DialogPanel, DialogTitle, Menu, MenuButton, MenuItem, MenuItems } from "@headlessui/react";
import Link from "next/link";
import { useEffect, useState } from "react";
import { useHouse } from "../parts/house";
import { useKeys } from "../parts/keys";
import { PersonLabel } from "../parts/marks";

const THEMES = [
  ["enamel", "Enamel (light)"],
  ["cast-iron", "Cast iron (dark)"],
  ["system", "As the system has it"],
] as const;

function setTheme(theme: (typeof THEMES)[number][0]): void {
  localStorage.setItem("theme", theme);
  const isDark = theme === "cast-iron" || (theme === "system" && matchMedia("(prefers-color-scheme: dark)").matches);
  if (isDark) document.documentElement.dataset.theme = "cast-iron";
  else delete document.documentElement.dataset.theme;
}

const KEYS: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
  [
    "In Sort",
    [
      ["Enter", "keep all slips shown, and on to the next"],
      ["K", "keep the lit slip"],
      ["H", "hand the lit slip over, with a note"],
      ["X", "brush off the lit slip"],
      ["N", "nothing to do"],
      ["J", "join to a task"],
      ["P", "put by until a day, or on the shelf"],
      ["W", "write back"],
      ["U", "undo"],
      ["↓ ↑", "next and previous slip"],
      ["→ ←", "next and previous conversation"],
      ["O E R T", "owner, by when, priority, title of the lit slip"],
      ["G", "where the conversation goes"],
      ["S", "slip from the words marked, or typed"],
    ],
  ],
  [
    "In Tasks",
    [
      ["↓ ↑", "next and previous task"],
      ["D", "done, or to begin again"],
      ["O E R T", "owner, by when, priority, title"],
      ["S", "state"],
      ["A", "a new task"],
      ["C", "a note"],
      ["L", "open the letter"],
      ["W", "write a letter"],
      ["H", "hand over, or pass on"],
      ["F", "done, and what follows"],
      ["P", "put by until a day, or on the shelf"],
      ["Y", "mark it, to hand over several at once"],
      ["M", "be reminded at a time of your own"],
      ["K B Q", "given to you: take on, hand back, ask"],
      ["U", "undo"],
    ],
  ],
  [
    "In Waiting",
    [
      ["↓ ↑", "next and previous wait"],
      ["Enter", "the letter is good: send it, and on to the next"],
      ["W", "reword the letter"],
      ["L", "leave the letter out today"],
      ["C", "note a call"],
      ["O", "open the task"],
      ["A", "a new wait"],
      ["U", "undo"],
    ],
  ],
  [
    "Everywhere",
    [
      ["/", "find"],
      ["?", "these keys"],
    ],
  ],
];

/** Where the menu leads. */
const PLACES = [
  ["/round", "This round"],
  ["/write", "Write a letter"],
  ["/review", "The shelf and the week’s review"],
  ["/cover", "Away and cover"],
  ["/mail-about-tasks", "Mail about your tasks, and your rounds"],
  ["/calendar", "Calendar feeds"],
  ["/mailboxes", "Mailboxes"],
  ["/learnt", "What was learnt"],
] as const;

/** What is one's own: the theme, the keys, and the way out. */
export function MyMenu() {
  const { me, isDemo } = useHouse();
  const [areKeysShown, showKeys] = useState(false);
  const [theme, remember] = useState("system");
  useEffect(() => remember(localStorage.getItem("theme") ?? "system"), []);
  useKeys({ "?": () => showKeys(true) });
  const signOut = async () => {
    await fetch("/api/auth/sign-out", { method: "POST", headers: { "content-type": "application/json" }, body: "{}" });
    location.assign("/sign-in");
  };
  return (
    <>
      <Menu>
        <MenuButton aria-label={`${me.name}: theme, keys, sign out`} className="flex h-8 items-center">
          <PersonLabel initials={me.initials} name={me.name} isTeam size="large" />
        </MenuButton>
        <MenuItems anchor="bottom end" className="gloss mt-2 min-w-56">
          <div className="px-2 pb-1 pt-1">
            <b>{me.name}</b>
            <div className="text-[12px] text-soft">{me.address}</div>
          </div>
          {THEMES.map(([id, name]) => (
            <MenuItem key={id}>
              <button
                type="button"
                className="gloss-row"
                onClick={() => {
                  setTheme(id);
                  remember(id);
                }}
              >
                <span aria-hidden="true" className="w-3">
                  {theme === id ? "•" : ""}
                </span>
                {name}
                {theme === id && <span className="sr-only">, in use</span>}
              </button>
            </MenuItem>
          ))}
          <div className="my-1 border-t border-hairline" />
          {PLACES.map(([href, name]) => (
            <MenuItem key={href}>
              <Link href={href} className="gloss-row">
                <span className="w-3" />
                {name}
              </Link>
            </MenuItem>
          ))}
          {isDemo && (
            <MenuItem>
              <a href="/post-room" target="_blank" rel="noreferrer" className="gloss-row">
                <span className="w-3" />
                Post room of the demo
              </a>
            </MenuItem>
          )}
          <MenuItem>
            <button type="button" className="gloss-row" onClick={() => showKeys(true)}>
              <span className="w-3" />
              Keys
            </button>
          </MenuItem>
          <MenuItem>
            <button type="button" className="gloss-row" onClick={() => void signOut()}>
              <span className="w-3" />
              Sign out
            </button>
          </MenuItem>
        </MenuItems>
      </Menu>
      <Dialog open={areKeysShown} onClose={() => showKeys(false)} className="relative z-50">
        <div className="fixed inset-0 bg-black/30" aria-hidden="true" />
        <div className="fixed inset-0 flex items-center justify-center p-4">
          <DialogPanel className="pan max-h-full w-[560px] overflow-auto p-6">
            <DialogTitle className="text-[18px]">Keys</DialogTitle>
            <p className="mt-1 text-[13px] text-soft">
              Every key has a button on the screen. They rest while you type.
            </p>
            {KEYS.map(([where, rows]) => (
              <section key={where} className="mt-4">
                <h3 className="text-[14px]">{where}</h3>
                <dl className="mt-1 grid grid-cols-[110px_1fr] gap-y-1 text-[13px]">
                  {rows.map(([key, what]) => (
                    <div key={key} className="contents">
                      <dt className="font-bold">{key}</dt>
                      <dd className="text-soft">{what}</dd>
                    </div>
                  ))}
                </dl>
              </section>
            ))}
            <button type="button" className="btn mt-5" onClick={() => showKeys(false)}>
              Close
            </button>
          </DialogPanel>
        </div>
      </Dialog>
    </>
  );
}
