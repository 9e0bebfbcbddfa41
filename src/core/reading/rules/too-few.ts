import type { KindRule } from "../kind-rule";
import { toldIn } from "../not-trouble";

/** "4,000 short of the plan", "it is forty pounds short": by how much something does not reach. */
const TOO_FEW =
  /(?:\d[\d.,]*|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty|sixty|a (?:dozen|hundred|thousand)|several|a few))(?: [a-zß-ÿ]+){0,2} short\b(?! (?:walk|drive|ride|notice|list|break|story|stories|letter|films?|way|words?|trips?|days?|hours?|minutes?|questions?|paragraphs?|sentences?|notes?))/i;

/** "Of the thirty chairs only twenty-six came back": how many there are of how many. */
const ONLY_SO_MANY =
  /\b(?:out )?of (?:the|our|your|my|those|these|all) [\p{L}\d-]+(?: [\p{L}\d'’-]+){1,8} only (?:\d+|[\p{L}-]+) (?:(?:have|has|had|of them|ever|yet) )*(?:(?:came|come|are|is|were|was) back|arrived|turned up|returned|reached (?:us|me|here)|works?|fit|showed up)\b/iu;

/** "The price per head is above our budget" */
const ABOVE_BUDGET =
  /\b(?:is|are|was|were|goes|comes out|lies|be) (?:\w+ )?(?:above|over|beyond|more than|outside) (?:our|the|my|your|their|his|her) (?:\w+ )?(?:budget|limit|means|allowance)\b/i;

/** "We can only deliver half of the flour this week" */
const CAN_ONLY =
  /\b(?:can(?: now)? only|could only|(?:am|are|is|was|were) only able to|only managed to) (?:deliver|send|supply|offer|bring|get|give|provide|ship|spare|find|do) (?:you |us )?(?:half|part|some|a (?:third|quarter|few|part)|\d+|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|thirty|forty|fifty)\b/i;

/** Something does not reach, and it is said by how much. */
export const tooFew: KindRule = {
  name: "something is short by so much",
  confidence: 0.9,
  says: "trouble",
  find: ({ text }) =>
    [TOO_FEW, ONLY_SO_MANY, CAN_ONLY, ABOVE_BUDGET].some((pattern) => pattern.test(toldIn(text))) ? "trouble" : null,
};
