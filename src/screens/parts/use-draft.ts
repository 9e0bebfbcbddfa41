import { useCallback, useEffect, useState } from "react";

/** Text that is being typed, kept in this window under a key: a reload in the middle loses nothing. */
export function useDraft(key: string): [string, (text: string) => void] {
  const [text, setText] = useState("");
  useEffect(() => setText(sessionStorage.getItem(`draft:${key}`) ?? ""), [key]);
  const keep = useCallback(
    (next: string) => {
      setText(next);
      if (next === "") sessionStorage.removeItem(`draft:${key}`);
      else sessionStorage.setItem(`draft:${key}`, next);
    },
    [key],
  );
  return [text, keep];
}
