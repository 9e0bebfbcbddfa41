import type { KindRule } from "../kind-rule";
import { actionLine } from "./action-line";
import { amiss } from "./amiss";
import { announced } from "./announced";
import { badNews } from "./bad-news";
import { behind } from "./behind";
import { colleague } from "./colleague";
import { damage } from "./damage";
import { duty } from "./duty";
import { firstQuestion } from "./first-question";
import { forSomebody } from "./for-somebody";
import { givenTo } from "./given-to";
import { goodsHarmed } from "./goods-harmed";
import { goodwill } from "./goodwill";
import { halfSaid } from "./half-said";
import { indirectQuestion } from "./indirect-question";
import { listPoint } from "./list-point";
import { meansLack } from "./means-lack";
import { namedBehind } from "./named-behind";
import { need } from "./need";
import { notAsAgreed } from "./not-as-agreed";
import { nothing } from "./nothing";
import { nothingAsked } from "./nothing-asked";
import { nothingListed } from "./nothing-listed";
import { offered } from "./offered";
import { order } from "./order";
import { orderForThing } from "./order-for-thing";
import { owed } from "./owed";
import { ownName } from "./own-name";
import { ownProblem } from "./own-problem";
import { peopleSuffer } from "./people-suffer";
import { plainTrouble } from "./plain-trouble";
import { please } from "./please";
import { polite } from "./polite";
import { priceLine } from "./price-line";
import { promise } from "./promise";
import { question } from "./question";
import { questionPoint } from "./question-point";
import { regards } from "./regards";
import { reminder } from "./reminder";
import { suggested } from "./suggested";
import { tableRow } from "./table-row";
import { thingsFail } from "./things-fail";
import { tooFew } from "./too-few";
import { troublesListed } from "./troubles-listed";
import { undertaking } from "./undertaking";
import { unhappy } from "./unhappy";
import { unmarkedQuestion } from "./unmarked-question";
import { wantedBy } from "./wanted-by";
import { whoever } from "./whoever";
import { willCome } from "./will-come";
import { withRegret } from "./with-regret";

/** Every rule that says what a passage is, in the order in which they are asked; the first that answers wins. */
export const KIND_RULES: readonly KindRule[] = [
  tableRow, // before all: its columns say it
  nothing, // first of wordings: courtesy and releases look like asks
  nothingAsked,
  regards,
  announced,
  nothingListed,
  priceLine,
  halfSaid,
  actionLine,
  whoever,
  colleague,
  ownName,
  forSomebody,
  givenTo,
  namedBehind,
  questionPoint, // before other points: they are announced as questions
  listPoint,
  troublesListed,
  polite, // an ask put as a question is an ask
  please,
  suggested,
  reminder,
  orderForThing, // before other orders: it counts for more
  order,
  owed,
  need,
  duty,
  wantedBy,
  indirectQuestion,
  firstQuestion, // before the question with its mark, which it never answers for
  question,
  unmarkedQuestion,
  promise,
  offered,
  undertaking,
  willCome,
  plainTrouble,
  goodsHarmed, // trouble last: a clause that asks or promises is that first
  tooFew,
  withRegret,
  goodwill, // before others who are unhappy, as goodsHarmed before other damage: plainer, so they count for more
  damage,
  notAsAgreed,
  amiss,
  behind,
  unhappy,
  thingsFail,
  meansLack,
  peopleSuffer,
  ownProblem,
  badNews,
];
