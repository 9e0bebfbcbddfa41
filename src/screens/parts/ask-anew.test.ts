import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { describe, expect, test } from "vitest";
import { askAnew } from "./ask-anew";

/** A screen that looks at one question, whose answers come when the test lets them. */
function screenThatAsks() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const onTheirWay: ((answer: string) => void)[] = [];
  const screen = new QueryObserver(queries, {
    queryKey: ["waits"],
    queryFn: () => new Promise<string>((resolve) => onTheirWay.push(resolve)),
  });
  const until = (count: number) => expect.poll(() => onTheirWay.length).toBe(count);
  const open = () => screen.subscribe(() => {});
  return { queries, onTheirWay, screen, open, until };
}

describe("what the screens show is asked for anew", () => {
  test("an answer read before the change does not stand, though it was the first and comes after the news", async () => {
    const { queries, onTheirWay, screen, open, until } = screenThatAsks();
    const close = open();
    await until(1);
    const anew = askAnew(queries);
    await until(2);
    onTheirWay[0]!("letter ready");
    onTheirWay[1]!("sent");
    await anew;
    expect(screen.getCurrentResult()).toMatchObject({ data: "sent", isError: false, fetchStatus: "idle" });
    close();
  });

  test("what is shown stays until the new answer is there", async () => {
    const { queries, onTheirWay, screen, open, until } = screenThatAsks();
    const close = open();
    await until(1);
    onTheirWay[0]!("letter ready");
    await expect.poll(() => screen.getCurrentResult().data).toBe("letter ready");
    const anew = askAnew(queries);
    await until(2);
    expect(screen.getCurrentResult().data).toBe("letter ready");
    onTheirWay[1]!("sent");
    await anew;
    expect(screen.getCurrentResult().data).toBe("sent");
    close();
  });

  test("what was being fetched ahead is fetched ahead all the same, and as it is after the change", async () => {
    const { queries, onTheirWay, until } = screenThatAsks();
    const ahead = queries.prefetchQuery({
      queryKey: ["next letter"],
      queryFn: () => new Promise<string>((resolve) => onTheirWay.push(resolve)),
    });
    await until(1);
    await askAnew(queries);
    await until(2);
    onTheirWay[0]!("before the change");
    onTheirWay[1]!("after it");
    await ahead;
    await expect.poll(() => queries.getQueryData(["next letter"])).toBe("after it");
    expect(onTheirWay).toHaveLength(2);
  });
});
