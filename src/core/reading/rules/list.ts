import type { KindRule } from "../kind-rule";
import { actionLine } from "./action-line";
import { amiss } from "./amiss";
import { behind } from "./behind";
import { colleague } from "./colleague";
import { damage } from "./damage";
import { duty } from "./duty";
import { forSomebody } from "./for-somebody";
import { indirectQuestion } from "./indirect-question";
import { listPoint } from "./list-point";
import { need } from "./need";
import { nothing } from "./nothing";
import { order } from "./order";
import { owed } from "./owed";
import { please } from "./please";
import { polite } from "./polite";
import { promise } from "./promise";
import { question } from "./question";
import { unhappy } from "./unhappy";
import { whoever } from "./whoever";
import { willCome } from "./will-come";

/** Every rule that says what a passage is, in the order in which they are asked; the first that answers wins. */
export const KIND_RULES: readonly KindRule[] = [
  nothing, // first: courtesy and releases look like asks
  actionLine,
  whoever,
  colleague,
  forSomebody,
  listPoint,
  polite, // an ask put as a question is an ask
  please,
  order,
  owed,
  need,
  duty,
  indirectQuestion,
  question,
  promise,
  willCome,
  damage, // trouble last: a clause that asks or promises is that first
  amiss,
  behind,
  unhappy,
];
