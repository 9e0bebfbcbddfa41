import fs from "node:fs";
import path from "node:path";
import { followConversation } from "@/core/following/follow";
import type { ChangeKind, OpenItem } from "@/core/following/item";
import { LEARNT } from "@/core/following/weighing/learnt";
import type { FollowingWeights } from "@/core/following/weighing/weigh";
import type { Letter } from "@/core/letters/letter";
import { PLAIN_READING, type ReadingSettings } from "@/core/reading/settings";
import { isSureChange } from "@/core/reading/slip";
import { letterOf, PEOPLE, personKnown } from "./labelled";
import { f1, overlap, squash } from "./overlap";

interface Opens {
  readonly id: string;
  readonly kind: string;
  readonly quote: string;
}
interface Changes {
  readonly item: string;
  readonly quote: string;
  readonly change: ChangeKind;
  readonly due: readonly string[];
  readonly owner: string | null;
}
interface Labelled {
  readonly letter: Letter;
  readonly opens: readonly Opens[];
  readonly changes: readonly Changes[];
}

const MARK = /\{(open|change) (\w+); ?([\w ]+); ?([\w.,-]+); ?([\w.,-]+) \| ([^}]+)\}/g;
const days = (text: string) => (text === "-" ? [] : text.split(","));

/** Sets of labelled conversations, by the file they stand in. */
export const CONVERSATION_SETS = [
  "conversations",
  "conversations-b",
  "conversations-c",
  "conversations-d",
  "conversations-e",
  "conversations-f",
  "conversations-g",
  "conversations-h",
  "conversations-i",
  "conversations-j",
  "conversations-k",
  "conversations-l",
  "conversations-m",
  "conversations-n",
  "conversations-o",
  "conversations-p",
  "conversations-q",
  "conversations-r",
  "conversations-s",
  "conversations-t",
  "conversations-u",
  "conversations-v",
  "conversations-w",
  "conversations-x",
  "conversations-y",
  "conversations-z",
  "conversations-aa",
  "conversations-bb",
] as const;

/**
 * Conversations as offices write them, plain and short, and in many voices. Reading learns nothing from them; following learns from
 * these; the mistakes of the first six, of ss and of uu were looked at, …
 */
export const FOLLOWED_PLAIN = [
  "conversations-dd",
  "conversations-ff",
  "conversations-gg",
  "conversations-hh",
  "conversations-jj",
  "conversations-kk",
  "conversations-qq",
  "conversations-rr",
  "conversations-ss",
  "conversations-tt",
  "conversations-uu",
  "conversations-vv",
] as const;

/** … from these only what is new and how sure a change is is learnt, and the mistakes of most were looked at, … */
export const LOOKED_AT_PLAIN = [
  "conversations-ae",
  "conversations-af",
  "conversations-ag",
  "conversations-ah",
  "conversations-ai",
  "conversations-aj",
  "conversations-ak",
  "conversations-al",
  "conversations-am",
  "conversations-an",
  "conversations-ao",
  "conversations-ap",
  "conversations-aq",
  "conversations-ar",
  "conversations-as",
  "conversations-at",
  "conversations-au",
  "conversations-av",
  "conversations-aw",
  "conversations-ax",
  "conversations-ba",
  "conversations-bc",
  "conversations-bd",
  "conversations-be",
  "conversations-bf",
  "conversations-bg",
  "conversations-bh",
  "conversations-bi",
  "conversations-bj",
  "conversations-bk",
  "conversations-bl",
  "conversations-bm",
  "conversations-bn",
  "conversations-bo",
  "conversations-bp",
  "conversations-bq",
  "conversations-br",
  "conversations-bs",
  "conversations-bt",
  "conversations-bu",
  "conversations-bv",
  "conversations-bw",
  "conversations-bx",
  "conversations-by",
  "conversations-bz",
  "conversations-ea",
  "conversations-eb",
  "conversations-ec",
  "conversations-ed",
  "conversations-eg",
  "conversations-eh",
  "conversations-ei",
  "conversations-ej",
  "conversations-ek",
  "conversations-el",
  "conversations-em",
] as const;

/** … and nothing learns from these, and nothing is mended for them; those of mm and xx were looked at, to know what to
 * mend next. */
export const UNLEARNT_PLAIN = [
  "conversations-ee",
  "conversations-ii",
  "conversations-mm",
  "conversations-nn",
  "conversations-oo",
  "conversations-pp",
  "conversations-ww",
  "conversations-xx",
  "conversations-ab",
  "conversations-ac",
  "conversations-ad",
  "conversations-ca",
  "conversations-cb",
  "conversations-cd",
  "conversations-ce",
  "conversations-cf",
  "conversations-cg",
  "conversations-ch",
  "conversations-ci",
] as const;
export const PLAIN_CONVERSATIONS = [...FOLLOWED_PLAIN, ...LOOKED_AT_PLAIN, ...UNLEARNT_PLAIN] as const;
export type PlainConversations = (typeof PLAIN_CONVERSATIONS)[number];
export type ConversationSet = (typeof CONVERSATION_SETS)[number] | PlainConversations;

/** Sets from which nothing is learnt: what is measured on them is what strangers' conversations are likely to come to. */
export const UNLEARNT_CONVERSATIONS: readonly ConversationSet[] = [
  "conversations-o",
  "conversations-s",
  "conversations-x",
  "conversations-y",
  "conversations-z",
  "conversations-aa",
  "conversations-bb",
];

/** Sets that only following is learnt from: with what they open, letters of real people were read no better, and a little worse. */
export const FOLLOWED_ONLY: readonly ConversationSet[] = ["conversations-u", "conversations-v", "conversations-w"];

export async function labelledConversations(set: ConversationSet): Promise<Labelled[][]> {
  const file = path.join(import.meta.dirname, `letters/${set}.txt`);
  const [, ...pieces] = fs.readFileSync(file, "utf8").split("=====\n");
  const conversations: Labelled[][] = [];
  for (const piece of pieces) {
    const letters: Labelled[] = [];
    for (const one of piece.split("-----\n")) {
      const [head, ...lines] = one.split("\n");
      const marks = [...lines.join("\n").matchAll(MARK)];
      letters.push({
        letter: await letterOf(head!, lines.join("\n").replace(MARK, "$6")),
        opens: marks.flatMap(([, what, id, kind, , , quote]) =>
          what === "open" ? [{ id: id!, kind: kind!, quote: quote! }] : [],
        ),
        changes: marks.flatMap(([, what, item, change, due, owner, quote]) =>
          what === "change"
            ? [
                {
                  item: item!,
                  quote: quote!,
                  change: change as ChangeKind,
                  due: days(due!),
                  owner: owner === "-" ? null : personKnown(owner!).address,
                },
              ]
            : [],
        ),
      });
    }
    conversations.push(letters);
  }
  return conversations;
}

/** What counts as an answer to a wait: finished, half, a new promise or another date, or that it does not come. */
const ANSWERS: ReadonlySet<string> = new Set(["done", "part", "promised", "moved", "passed", "declined", "called off"]);

/** Whether somebody outside owes an item. */
function isOwed(owner: string | null): boolean {
  return owner !== null && !PEOPLE.team.some((one) => one.address === owner);
}

/** Which label each thing that a letter opens stands for, by our id: what shares half of the shorter's words, each label once. */
export function openedAs(
  labels: readonly Opens[],
  opened: readonly Pick<OpenItem, "id" | "quote">[],
): ReadonlyMap<string, string> {
  const known = new Map<string, string>();
  for (const label of labels) {
    const item = opened.find((one) => !known.has(one.id) && overlap(squash(label.quote), squash(one.quote)) >= 0.5);
    if (item) known.set(item.id, label.id);
  }
  return known;
}

async function scoreOf(set: ConversationSet, learnt: FollowingWeights, settings: ReadingSettings) {
  const sum = {
    opens: 0,
    openFound: 0,
    openHits: 0,
    changes: 0,
    changeFound: 0,
    changeHits: 0,
    dueHits: 0,
    quiet: 0,
    quietRight: 0,
    answersFound: 0,
    answersRight: 0,
    answers: 0,
    sureFound: 0,
    sureRight: 0,
  };
  const mistakes: string[] = [];
  for (const [n, labelled] of (await labelledConversations(set)).entries()) {
    const followed = followConversation(
      labelled.map((one) => one.letter),
      PEOPLE,
      settings,
      learnt,
    );
    const itemOf = new Map<string, string>();
    /** Items that somebody outside owes us, by their label's id and by ours. */
    const owed = new Set<string>();
    for (const [i, { opens, changes }] of labelled.entries()) {
      const found = followed[i]!;
      const at = `conversation ${n + 1}, letter ${i + 1}`;
      if (opens.length + changes.length === 0) {
        sum.quiet += 1;
        sum.quietRight += Number(found.opens.length + found.changes.length === 0);
      }
      sum.opens += opens.length;
      sum.openFound += found.opens.length;
      const matched = openedAs(opens, found.opens);
      for (const label of opens) {
        const item = found.opens.find(({ id }) => matched.get(id) === label.id);
        if (!item) mistakes.push(`${at}: not opened: ${label.quote}`);
        else {
          sum.openHits += 1;
          itemOf.set(item.id, label.id);
          if (isOwed(item.owner)) owed.add(item.id).add(label.id);
        }
      }
      for (const one of found.opens) if (!itemOf.has(one.id)) mistakes.push(`${at}: opened in excess: ${one.quote}`);
      sum.changes += changes.length;
      sum.changeFound += found.changes.length;
      for (const label of changes) {
        const change = found.changes.find((one) => itemOf.get(one.item) === label.item);
        if (change?.change === label.change) {
          sum.changeHits += 1;
          sum.dueHits += Number(label.due.length === 0 ? change.due === null : label.due.includes(change.due ?? ""));
        } else mistakes.push(`${at}: ${label.item} ${label.change}, found ${change?.change ?? "nothing"}`);
      }
      sum.answers += changes.filter((label) => owed.has(label.item) && ANSWERS.has(label.change)).length;
      for (const one of found.changes.filter((each) => owed.has(each.item) && ANSWERS.has(each.change))) {
        sum.answersFound += 1;
        const isRight = changes.some((label) => label.item === itemOf.get(one.item) && label.change === one.change);
        sum.answersRight += Number(isRight);
        if (!isSureChange(one)) continue;
        sum.sureFound += 1;
        sum.sureRight += Number(isRight);
      }
      for (const one of found.changes)
        if (!changes.some((label) => label.item === itemOf.get(one.item)))
          mistakes.push(`${at}: in excess ${one.change} of ${itemOf.get(one.item) ?? "no label"}: ${one.quote}`);
    }
  }
  return {
    opens: sum.opens,
    opening: f1(sum.openHits, sum.opens, sum.openFound),
    changes: sum.changes,
    change: f1(sum.changeHits, sum.changes, sum.changeFound),
    due: sum.dueHits / Math.max(1, sum.changeHits),
    quiet: sum.quiet === 0 ? 1 : sum.quietRight / sum.quiet,
    "answers to waits": sum.answers,
    "recognised, precision": sum.answersRight / Math.max(1, sum.answersFound),
    "recognised, recall": sum.answersRight / Math.max(1, sum.answers),
    "surely recognised": sum.sureFound,
    "surely recognised, precision": sum.sureRight / Math.max(1, sum.sureFound),
    mistakes,
  };
}

/** What was counted of each set as it is followed in the product: several tests ask for it. */
const scores = new Map<ConversationSet, ReturnType<typeof scoreOf>>();

/** How well conversations are followed: shares from 0 to 1, and every mistake in words. */
export function scoreFollowing(
  set: ConversationSet,
  learnt: FollowingWeights = LEARNT,
  settings: ReadingSettings = PLAIN_READING,
): ReturnType<typeof scoreOf> {
  if (learnt !== LEARNT || settings !== PLAIN_READING) return scoreOf(set, learnt, settings);
  const score = scores.get(set) ?? scoreOf(set, learnt, settings);
  scores.set(set, score);
  return score;
}
