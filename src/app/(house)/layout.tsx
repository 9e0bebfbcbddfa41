import { headers } from "next/headers";
import type { ReactNode } from "react";
import { dayOf } from "@/core/time/moment";
import { now } from "@/data/clock";
import { stationCounts } from "@/data/queries/tasks";
import { HouseFrame } from "@/screens/house/house-frame";
import { houseFor, viewerOrSignIn } from "../_server/viewer";

export const dynamic = "force-dynamic";

export default async function HouseLayout({ children }: { children: ReactNode }) {
  const path = (await headers()).get("x-path") ?? "/sort";
  const { db, personId } = await viewerOrSignIn(path);
  const house = await houseFor(db, personId);
  const counts = await stationCounts(db, { personId }, dayOf({ at: now(), zone: house.zone }));
  return (
    <HouseFrame house={house} counts={counts}>
      {children}
    </HouseFrame>
  );
}
