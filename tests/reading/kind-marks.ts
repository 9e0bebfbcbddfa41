import type { SlipKind } from "@/core/reading/slip";

/** The letters by which labelled files mark the kind of a passage. */
export const KIND_MARKS: Readonly<Record<string, SlipKind>> = { a: "ask", q: "question", p: "promise", t: "trouble" };
