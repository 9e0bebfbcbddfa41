import { useEffect, useRef } from "react";

/** What a key does, by the key's name as the browser gives it ("Enter", "k", "ArrowDown"). */
export type KeyTable = Readonly<Record<string, (event: KeyboardEvent) => void>>;

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName))
  );
}

/** Whether a list or menu is open, whose keys go first. */
function isMenuOpen(): boolean {
  return document.querySelector('[role="listbox"],[role="menu"],[role="dialog"]') !== null;
}

/** Lets keys act while nothing is being typed and no menu is open. Keys with Ctrl, Alt or Meta stay the browser's. */
export function useKeys(table: KeyTable): void {
  const current = useRef(table);
  current.current = table;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (
        event.defaultPrevented ||
        event.ctrlKey ||
        event.metaKey ||
        event.altKey ||
        isTyping(event.target) ||
        isMenuOpen()
      )
        return;
      // A focused button or link keeps Enter and Space for itself.
      if (
        (event.key === "Enter" || event.key === " ") &&
        event.target instanceof HTMLElement &&
        /^(?:BUTTON|A|SUMMARY)$/.test(event.target.tagName)
      )
        return;
      const run = current.current[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!run) return;
      event.preventDefault();
      run(event);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}
