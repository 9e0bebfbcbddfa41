"use client";

import { useEffect } from "react";
import type { TaskSheet } from "../../core/views/views";
import { tell } from "../parts/client";

/** Milliseconds a sheet has to stand open before what one is told of its task counts as seen. */
const LOOKED_AT_MS = 1_200;

/** What one is told of a task counts as seen once its sheet has been looked at. */
export function useSeen(sheet: TaskSheet | null): void {
  const number = sheet?.hasNews ? Number(sheet.task.reference.split(" ").at(-1)) : null;
  useEffect(() => {
    if (number === null) return;
    const timer = setTimeout(() => void tell("/api/notices", { taskNumber: number, upTo: 0 }), LOOKED_AT_MS);
    return () => clearTimeout(timer);
  }, [number]);
}
