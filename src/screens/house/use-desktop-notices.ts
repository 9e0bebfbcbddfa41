"use client";

import { useEffect, useRef } from "react";
import type { NoticesView } from "../../core/views/notices-view";
import { ask } from "../parts/client";

const PLACE = "notices of the browser";

/** Whether this browser shows notices of its own while a page is open: asked for here, and allowed by it. */
export function areDesktopNoticesOn(): boolean {
  return "Notification" in window && Notification.permission === "granted" && localStorage.getItem(PLACE) === "on";
}

/** Asks the browser whether notices may be shown; gives back whether they are from now on. */
export async function turnDesktopNotices(on: boolean): Promise<boolean> {
  if (!("Notification" in window)) return false;
  if (on && Notification.permission !== "granted") await Notification.requestPermission();
  localStorage.setItem(PLACE, on ? "on" : "off");
  return areDesktopNoticesOn();
}

/** Shows what is loud and new as a notice of the browser, while nobody looks at the page. */
export function useDesktopNotices(fresh: number): void {
  const before = useRef(fresh);
  const shown = useRef(new Set<string>());
  useEffect(() => {
    const isMore = fresh > before.current;
    before.current = fresh;
    if (!isMore || document.visibilityState === "visible" || !areDesktopNoticesOn()) return;
    void ask<NoticesView>("/api/notices").then(({ notices, isQuiet }) => {
      const [one] = notices.filter(
        (notice) => notice.isFresh && notice.how === "at once" && !shown.current.has(notice.id),
      );
      if (!one || isQuiet) return;
      shown.current.add(one.id);
      const notice = new Notification(`${one.title} (${one.reference})`, {
        body: `${one.by.name} ${one.words}`,
        tag: one.id,
      });
      notice.onclick = () => {
        window.focus();
        location.assign(`/tasks/${one.slug}`);
      };
    });
  }, [fresh]);
}
