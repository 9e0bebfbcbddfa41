import type { KindRule } from "../kind-rule";

const ACTION_NAME = /^(?:action|todo|to do|ap)\b\s*[:–-]/i;

/** "Action: renew the mooring lines" in minutes. */
export const actionLine: KindRule = {
  name: "a line that begins with “action”",
  confidence: 0.95,
  find: (clause) => (ACTION_NAME.test(clause.text) ? "ask" : null),
};
