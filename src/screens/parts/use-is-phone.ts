import { useEffect, useState } from "react";

/** Whether the screen is a phone's (640 px at the most): one column, the acts under the thumb. */
export function useIsPhone(): boolean {
  const [isPhone, setPhone] = useState(false);
  useEffect(() => {
    const query = matchMedia("(max-width: 640px)");
    const look = () => setPhone(query.matches);
    look();
    query.addEventListener("change", look);
    return () => query.removeEventListener("change", look);
  }, []);
  return isPhone;
}
