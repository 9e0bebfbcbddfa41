"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { sayMomentFully } from "../../core/time/say-day";
import type { MailboxView, WorkstreamAddress } from "../../core/views/mailbox-view";
import { ask, ServerSaysNo, tell } from "../parts/client";
import { useToday } from "../parts/house";
import { useSay } from "../parts/says";
import { useActs } from "../parts/use-acts";
import { MayWriteWord } from "./may-write-word";
import { NewMailbox } from "./new-mailbox";

/** What is changed on the server, and what the connection may do, in words. */
function rights(mailbox: MailboxView): string {
  const changes =
    mailbox.onDealt === "nothing"
      ? "It changes nothing there."
      : mailbox.onDealt === "mark read"
        ? "It marks letters as read there once they are dealt with here, and changes nothing else."
        : `It moves letters to “${mailbox.moveTo}” there once they are dealt with here, and changes nothing else.`;
  const which = mailbox.mark
    ? `Only letters with the mark “${mailbox.mark}” are read.`
    : mailbox.since
      ? `Letters since ${mailbox.since} are read.`
      : "All letters in it are read.";
  return `${which} ${changes} The connection signs in as ${mailbox.userName} and could read the whole mailbox.`;
}

function OneMailbox({ mailbox, onDo }: { mailbox: MailboxView; onDo: (what: object) => Promise<boolean> }) {
  const { now } = useToday();
  return (
    <li className="border-t border-hairline px-5 py-3 first:border-t-0">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="text-[15px]">{mailbox.name}</h3>
        <span className="text-[12.5px] text-soft">
          {mailbox.isPersonal ? "yours alone" : "everybody’s"} · {mailbox.host}
        </span>
        <span className="ml-auto flex gap-2">
          <button
            type="button"
            className="btn is-small is-line"
            onClick={() => void onDo({ do: "read now", id: mailbox.id })}
          >
            Read now
          </button>
          {mailbox.mayRevoke && (
            <button
              type="button"
              className="btn is-small is-line"
              onClick={() => void onDo({ do: "revoke", id: mailbox.id })}
            >
              Revoke
            </button>
          )}
        </span>
      </div>
      {mailbox.folders.map((folder) => (
        <p key={folder.folder} className={`text-[13px] ${folder.says ? "font-semibold text-late" : ""}`}>
          <b>{folder.folder}</b>
          {": "}
          {folder.says ??
            `read ${folder.readAt ? sayMomentFully(folder.readAt, now.zone, now) : "not yet"}${folder.behind > 0 ? `, ${folder.behind} letters still to come` : ", nothing behind"}`}
        </p>
      ))}
      {mailbox.folders.length === 0 && <p className="text-[13px] text-soft">Being read for the first time …</p>}
      <p className="mt-1 max-w-[80ch] text-[12.5px] text-soft">{rights(mailbox)}</p>
    </li>
  );
}

/** The addresses of workstreams: a letter to one of them makes a task there. */
function Addresses({ first }: { first: readonly WorkstreamAddress[] }) {
  const [addresses, setAddresses] = useState(first);
  const { run } = useActs();
  return (
    <section className="pan mx-auto mt-[14px] max-w-[900px]" aria-label="Addresses">
      <div className="border-b border-hairline px-5 py-3">
        <h2 className="text-[18px]">Addresses</h2>
        <p className="text-[12.5px] text-soft">
          A letter to one of these makes a task there by itself, where its writer may. Letters of others wait in Sort.
          Every task has an address too: it stands on its sheet.
        </p>
      </div>
      <ul className="px-5 py-2 text-[13px]">
        {addresses.map((one) => (
          <li key={one.id} className="flex flex-wrap items-baseline gap-x-3 py-1">
            <span className="w-52 flex-none truncate">
              <b>{one.project}</b> · {one.name}
            </span>
            <span className="min-w-0 flex-1 truncate">{one.address}</span>
            <span className="flex-none text-soft">
              for{" "}
              <MayWriteWord
                rule={one.mayWrite}
                onPick={(to) => {
                  setAddresses(addresses.map((other) => (other.id === one.id ? { ...other, mayWrite: to } : other)));
                  void run("may write", { row: "workstream", id: one.id, to }, { says: () => `Now for ${to}.` });
                }}
              />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Mailboxes that are read: how far, what is changed there, and how to add and revoke one. */
export function MailboxesScreen({
  first,
  addresses,
}: {
  first: readonly MailboxView[];
  addresses: readonly WorkstreamAddress[];
}) {
  const queries = useQueryClient();
  const say = useSay();
  const [isAdding, setAdding] = useState(false);
  const { data: mailboxes } = useQuery({
    queryKey: ["mailboxes"],
    queryFn: () => ask<readonly MailboxView[]>("/api/mailboxes"),
    initialData: first,
    refetchInterval: 3_000,
  });
  const onDo = async (what: object): Promise<boolean> => {
    try {
      queries.setQueryData(["mailboxes"], await tell<readonly MailboxView[]>("/api/mailboxes", what));
      return true;
    } catch (error) {
      say({ text: error instanceof ServerSaysNo ? error.message : "The server cannot be reached.", isFault: true });
      return false;
    }
  };
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px]">
      <section className="pan mx-auto max-w-[900px]" aria-label="Mailboxes">
        <div className="flex items-center gap-4 border-b border-hairline px-5 py-3">
          <h1 className="text-[20px]">Mailboxes</h1>
          <button type="button" className="btn ml-auto" onClick={() => setAdding(!isAdding)} aria-expanded={isAdding}>
            Add a mailbox
          </button>
        </div>
        {isAdding && (
          <NewMailbox
            onAdd={async (wanted) => {
              const isAdded = await onDo({ do: "add", ...wanted });
              if (isAdded) {
                setAdding(false);
                say({ text: "The connection works. Its letters come in from now on." });
              }
              return isAdded;
            }}
          />
        )}
        {mailboxes.length === 0 && !isAdding && (
          <p className="px-5 py-8 text-center text-soft">
            No mailbox is read yet. Add one, and its letters come into Sort by themselves.
          </p>
        )}
        <ul>
          {mailboxes.map((mailbox) => (
            <OneMailbox key={mailbox.id} mailbox={mailbox} onDo={onDo} />
          ))}
        </ul>
      </section>
      {addresses.length > 0 && <Addresses first={addresses} />}
    </div>
  );
}
