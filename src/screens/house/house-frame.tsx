"use client";

import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import Link from "next/link";
import { usePathname } from "next/navigation";
import { type ReactNode, useState } from "react";
import { type CountsView, type HouseView, MOST_COUNTED } from "../../core/views/views";
import { FindBox } from "../find/find-box";
import { ask } from "../parts/client";
import { HouseProvider, LiveScreens } from "../parts/house";
import { SaysProvider } from "../parts/says";
import { MyMenu } from "./my-menu";
import { Notices } from "./notices";
import { useDesktopNotices } from "./use-desktop-notices";

function figure(count: number): string {
  return count > MOST_COUNTED ? `${MOST_COUNTED}+` : String(count);
}

function useCounts(first: CountsView): CountsView {
  return useQuery({
    queryKey: ["counts"],
    queryFn: () => ask<CountsView>("/api/counts"),
    initialData: first,
  }).data;
}

/** What one should hear, beside the line of stations. */
function NewsOf({ first }: { first: CountsView }) {
  const counts = useCounts(first);
  useDesktopNotices(counts.fresh);
  return <Notices counts={counts} />;
}

/** The line of stations: the work in its order, each with how much is in it. */
function Stations({ first }: { first: CountsView }) {
  const path = usePathname();
  const counts = useCounts(first);
  const stations = [
    { href: "/sort", name: "Sort", count: counts.sort, late: 0 },
    { href: "/tasks", name: "Tasks", count: counts.tasks, late: counts.late },
    { href: "/waiting", name: "Waiting", count: counts.waiting, late: counts.over },
  ];
  return (
    <nav aria-label="Stations" className="flex items-start">
      {stations.map(({ href, name, count, late }, i) => (
        <span key={href} className="flex items-start">
          {i > 0 && <span className="station-dash" aria-hidden="true" />}
          <Link href={href} className="station" aria-current={path.startsWith(href) ? "page" : undefined}>
            {name}
            <b className={late > 0 ? "is-late" : ""}>
              {figure(count)}
              {late > 0 && <span className="sr-only">, {figure(late)} late</span>}
            </b>
          </Link>
        </span>
      ))}
    </nav>
  );
}

/** The frame around every screen: the bar, the clock, the live connection, and the line that says what happened. */
export function HouseFrame({ house, counts, children }: { house: HouseView; counts: CountsView; children: ReactNode }) {
  const [queries] = useState(
    () => new QueryClient({ defaultOptions: { queries: { staleTime: 15_000, retry: 1, refetchOnWindowFocus: true } } }),
  );
  return (
    <QueryClientProvider client={queries}>
      <HouseProvider house={house}>
        <SaysProvider>
          <a
            href="#station"
            className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:rounded focus:bg-pan focus:px-3 focus:py-2"
          >
            To the work
          </a>
          <div className="flex h-dvh flex-col overflow-hidden">
            <header className="bar">
              <Link href="/round" className="logo max-sm:!hidden" aria-label="Jam Kettle: this round">
                Jam<i>·</i>Kettle
              </Link>
              <Stations first={counts} />
              <div className="ml-auto flex items-center gap-3 pt-[11px] max-sm:gap-1.5">
                <FindBox />
                <NewsOf first={counts} />
                <MyMenu />
              </div>
            </header>
            <main id="station" className="flex min-h-0 flex-1 flex-col" tabIndex={-1}>
              {children}
            </main>
          </div>
          <LiveScreens />
        </SaysProvider>
      </HouseProvider>
    </QueryClientProvider>
  );
}
