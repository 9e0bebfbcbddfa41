"use client";

import { useQueryClient } from "@tanstack/react-query";
import { usePathname } from "next/navigation";
import { createContext, type ReactNode, useContext, useEffect, useRef, useState } from "react";
import type { WorkingCalendar } from "../../core/time/day";
import { dayOf, type Moment } from "../../core/time/moment";
import type { HouseView } from "../../core/views/views";
import { askAnew } from "./ask-anew";

const House = createContext<HouseView | null>(null);
const Now = createContext<number>(0);

/** Milliseconds between two looks at the clock; days and distances on the screen follow it. */
const CLOCK_STEP_MS = 30_000;

/** Gives every screen the house it is in and one common now. */
export function HouseProvider({ house, children }: { house: HouseView; children: ReactNode }) {
  const [now, setNow] = useState(house.now);
  useEffect(() => {
    if (house.isClockFrozen) return;
    const ahead = house.now - Date.now();
    const timer = setInterval(() => setNow(Date.now() + ahead), CLOCK_STEP_MS);
    return () => clearInterval(timer);
  }, [house.now, house.isClockFrozen]);
  return (
    <House.Provider value={house}>
      <Now.Provider value={now}>{children}</Now.Provider>
    </House.Provider>
  );
}

export function useHouse(): HouseView {
  const house = useContext(House);
  if (!house) throw new Error("This part stands outside the house.");
  return house;
}

/** Now, today and the calendar, in the zone of the organisation. */
export function useToday(): { now: Moment; today: string; calendar: WorkingCalendar } {
  const house = useHouse();
  const now = { at: useContext(Now), zone: house.zone };
  return { now, today: dayOf(now), calendar: house };
}

/**
 * Keeps open screens fresh: what others do is asked for again as soon as the server says that something changed, and once
 * when the connection stands or another station is opened, since something may have come while the page was on its way.
 */
export function LiveScreens() {
  const queries = useQueryClient();
  const station = usePathname().split("/")[1];
  const before = useRef(station);
  useEffect(() => {
    if (before.current !== station) void askAnew(queries);
    before.current = station;
  }, [queries, station]);
  const [isLost, setIsLost] = useState(false);
  useEffect(() => {
    const source = new EventSource("/api/live");
    let lostTimer: ReturnType<typeof setTimeout> | undefined;
    source.addEventListener("changed", () => void askAnew(queries));
    // The server says from where on it tells of changes; everything before that is asked for here.
    source.addEventListener("hello", () => void askAnew(queries));
    source.addEventListener("open", () => {
      clearTimeout(lostTimer);
      setIsLost(false);
    });
    source.addEventListener("error", () => {
      clearTimeout(lostTimer);
      lostTimer = setTimeout(() => setIsLost(true), 2_500);
    });
    return () => {
      clearTimeout(lostTimer);
      source.close();
    };
  }, [queries]);
  return isLost ? (
    <div role="status" className="says is-fault">
      The connection is lost. What you see may be old; what you typed is still here. Trying again by itself.
    </div>
  ) : null;
}
