import { type KindRule, namedIn } from "../kind-rule";

/** A row of a table of actions: its writer's own is a promise. */
export const tableRow: KindRule = {
  name: "a row of a table of actions",
  confidence: 0.95,
  isCertain: true,
  find({ row }, { writer }) {
    if (!row) return null;
    return writer && namedIn(row.who, [writer]).length > 0 ? "promise" : "ask";
  },
};
