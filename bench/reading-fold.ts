// One part of the labelled sets, read and followed by what all the others teach: its figures as lines of JSON, for reading.ts.
import { runsWithWords } from "../src/core/following/weighing/learnt";
import { PLAIN_READING } from "../src/core/reading/settings";
import { CONVERSATION_SETS, scoreFollowing, UNLEARNT_CONVERSATIONS } from "../tests/reading/conversations";
import { type LabelledLetter, LETTER_SETS, labelledLetters, PEOPLE, UNLEARNT_SETS } from "../tests/reading/labelled";
import { learnAnswerRuns, learnFollowing } from "../tests/reading/learning/examples";
import { learnWording } from "../tests/reading/learning/in-letter";
import { kindsLabelled, MARKED_SETS } from "../tests/reading/learning/marked-letters";
import { scoreReading } from "../tests/reading/score";

const [fold, folds] = process.argv.slice(2).map(Number) as [number, number];
const learntFrom = LETTER_SETS.filter((one) => !UNLEARNT_SETS.includes(one));
const followed = CONVERSATION_SETS.filter((one) => !UNLEARNT_CONVERSATIONS.includes(one));
const held = [...learntFrom, ...followed, ...MARKED_SETS].filter((_, i) => i % folds === fold);
const wording = await learnWording(held);

function score(letters: readonly LabelledLetter[], people = PEOPLE) {
  const { mistakes: _, ...reading } = scoreReading(letters, wording, { people });
  return reading;
}

function tell(of: "letters" | "marked letters" | "conversations", set: string, figures: object): void {
  process.stdout.write(`${JSON.stringify({ of, set, figures })}\n`);
}

for (const set of learntFrom.filter((one) => held.includes(one)))
  tell("letters", set, score(await labelledLetters(set)));
for (const set of MARKED_SETS.filter((one) => held.includes(one))) {
  const { labels, found, finding, kind, anything } = score(await kindsLabelled(set), { team: [], outside: [] });
  tell("marked letters", set, { labels, found, finding, kind, anything });
}
const conversations = followed.filter((one) => held.includes(one));
const learnt = {
  ...(await learnFollowing(conversations)),
  // Words keep the vectors that all letters have taught; what runs of them say of answers was not learnt from these.
  runs: runsWithWords(await learnAnswerRuns(conversations)),
};
for (const set of conversations) {
  const { mistakes: _, ...following } = await scoreFollowing(set, learnt, { ...PLAIN_READING, wording });
  tell("conversations", set, following);
}
