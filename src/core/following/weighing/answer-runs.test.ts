import { describe, expect, test } from "vitest";
import { PLACES } from "../../reading/weighing/word-runs";
import type { OpenItem } from "../item";
import type { Segment } from "../segments";
import { answerPlaces } from "./answer-runs";
import type { Situation } from "./situation";

const segment: Segment = { start: 0, end: 10, text: "Not today!", block: 0, number: null, answers: null };

function placesFor(kind: OpenItem["kind"], quote: string, writer: "owner" | "asker" | "other"): string[] {
  const sides = { owes: () => writer === "owner", wants: () => writer === "asker" };
  return answerPlaces({ context: { sides, writer } } as unknown as Situation, segment, { kind, quote } as OpenItem);
}

describe("the places of an answer", () => {
  test.each([
    ["ask", "Please bind the atlas.", "owner", "* owner work"],
    ["ask", "Please bind the atlas.", "asker", "* asker work"],
    ["question", "When does it open?", "owner", "* owner words"],
    ["trouble", "The press leaks.", "other", "* other trouble"],
  ] as const)("%s “%s” by its %s", (kind, quote, writer, said) => {
    expect(placesFor(kind, quote, writer)).toEqual([
      PLACES.edge,
      said,
      "not",
      "today",
      "!",
      PLACES.end,
      said,
      PLACES.edge,
    ]);
  });
});
