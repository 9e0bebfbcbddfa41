"use client";

import { useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import { useCallback, useEffect, useMemo, useState } from "react";
import type { ConversationView } from "../../core/views/views";
import { Board } from "./board";
import { DropMail } from "./drop-mail";
import { RoundList } from "./round-list";
import { PLACE_IN_ADDRESS, type Place, type SortAnswer, useAskAhead, useSortList } from "./sort-data";

/** Sort: the round at the left, the conversation with its passages, the slips level with them, the acts below. */
export function SortScreen(props: {
  place: Place;
  first: SortAnswer;
  conversation: ConversationView | null;
  /** The way in whose letters are sorted alone; null for all of them. */
  way: string | null;
  ways: readonly { readonly id: string; readonly name: string }[];
}) {
  const [place, setPlace] = useState(props.place);
  const { way } = props;
  const list = useSortList(place, props.first, props.way);
  const rows = useMemo(() => list.data.pages.flatMap((page) => page.rows), [list.data]);
  const round = list.data.pages[0]!.round;
  const [hereId, setHereId] = useState<string | null>(props.conversation?.id ?? props.first.rows[0]?.id ?? null);
  const [isListShown, showList] = useState(false);
  const queries = useQueryClient();
  const index = rows.findIndex((row) => row.id === hereId);
  useAskAhead(queries, rows, index);

  const go = useCallback(
    (id: string | null) => {
      setHereId(id);
      showList(false);
      // The keys act on the letter from here on, not on the row that was clicked.
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
      window.history.replaceState(null, "", `/sort${id ? `/${id}` : ""}${way ? `?way=${way}` : ""}`);
    },
    [way],
  );
  // What was here has gone (dealt with by somebody else) or nothing was chosen yet: on to the first that is left.
  useEffect(() => {
    if (hereId === null && rows[0] && place === "sort") go(rows[0].id);
  }, [hereId, rows, place, go]);

  const next = rows[index + 1] ?? rows[index - 1] ?? null;
  const step = (by: number) => {
    const row = rows[index + by];
    if (row) go(row.id);
  };
  const changePlace = (to: Place) => {
    setPlace(to);
    setHereId(null);
    window.location.assign(to === "sort" ? "/sort" : `/sort?place=${PLACE_IN_ADDRESS[to]}`);
  };
  const fetchMore = list.fetchNextPage;
  const onMore = useCallback(() => void fetchMore(), [fetchMore]);
  const dealtShare = round.dealt + round.left === 0 ? 100 : (100 * round.dealt) / (round.dealt + round.left);
  return (
    <DropMail>
      {(choose) => (
        <div className="grid min-h-0 flex-1 grid-cols-[272px_minmax(0,1fr)] gap-[14px] px-4 pb-4 pt-[14px] max-lg:grid-cols-[230px_minmax(0,1fr)] max-sm:flex max-sm:flex-col max-sm:gap-1.5 max-sm:p-0">
          <h1 className="sr-only">Sort</h1>
          <button
            type="button"
            className="mx-3.5 mt-2 text-left text-[12px] text-soft sm:hidden"
            onClick={() => showList(!isListShown)}
            aria-expanded={isListShown}
          >
            <span className="block h-1 overflow-hidden rounded bg-hairline">
              <span className="block h-1 bg-act" style={{ width: `${dealtShare}%` }} />
            </span>
            <span className="mt-1.5 block">
              {round.dealt} of {round.dealt + round.left} dealt with ·{" "}
              {isListShown ? "back to the letter" : "show the round"}
            </span>
          </button>
          <div className={`min-h-0 ${isListShown ? "max-sm:mx-2 max-sm:flex-1" : "max-sm:hidden"}`}>
            <RoundList
              rows={rows}
              round={round}
              place={place}
              hereId={hereId}
              hasMore={list.hasNextPage && !list.isFetchingNextPage}
              onMore={onMore}
              onPick={go}
              onPlace={changePlace}
              way={way}
              ways={props.ways}
            />
          </div>
          <div className={`flex min-h-0 min-w-0 flex-1 flex-col ${isListShown ? "max-sm:hidden" : ""}`}>
            {hereId === null ? (
              <EmptySort onChoose={choose} place={place} />
            ) : (
              <Board
                key={hereId}
                id={hereId}
                first={props.conversation}
                place={place}
                nextId={next?.id ?? null}
                onGo={go}
                onStep={step}
                onChoose={choose}
              />
            )}
          </div>
        </div>
      )}
    </DropMail>
  );
}

const EMPTY: Readonly<Record<Place, string>> = {
  sort: "Everything is sorted",
  "dealt with": "Nothing has been dealt with yet",
  "put by": "Nothing is put by",
};

function EmptySort({ onChoose, place }: { onChoose: () => void; place: Place }) {
  return (
    <section className="pan flex flex-1 flex-col items-center justify-center gap-3 p-8 text-center max-sm:mx-2 max-sm:mb-2">
      <h2 className="text-[21px]">{EMPTY[place]}</h2>
      {place === "sort" && (
        <Link className="word" href="/round">
          On with the round: what is due, what came back, what others owe
        </Link>
      )}
      <p className="max-w-[420px] text-soft">
        Bring mail in by dropping .eml or mbox files here, or by choosing them; then each letter waits here with what it
        asks.
      </p>
      <button type="button" className="btn" onClick={onChoose}>
        Bring mail in
      </button>
    </section>
  );
}
