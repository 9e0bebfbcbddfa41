"use client";

import { useQuery, useQueryClient } from "@tanstack/react-query";
import Link from "next/link";
import { sayHasteDays, sayHasteName } from "../../core/reading/haste";
import type { SlipKind } from "../../core/reading/slip";
import type {
  AllLearntView,
  LearntHasteView,
  LearntKindView,
  LearntPriorityView,
  LearntView,
  LearntWordingView,
} from "../../core/views/learnt-view";
import { ask, ServerSaysNo, tell } from "../parts/client";
import { KIND_NAMES } from "../parts/marks";
import { useSay } from "../parts/says";

const A_KIND: Readonly<Record<SlipKind, string>> = {
  ask: "an ask",
  question: "a question",
  promise: "a promise",
  trouble: "trouble",
};

function times(count: number): string {
  return count === 1 ? "once" : count === 2 ? "twice" : `${count} times`;
}

/** What a lesson is and does, as a sentence. */
function inWords({ phrase, rule, effect, brushedOff, kept, isMarked }: LearntView): string {
  if (isMarked) return `“${phrase}” is proposed from now on: marked by hand ${times(kept)}.`;
  const what = phrase === null ? `What was found because of ${rule}` : `“${phrase}”`;
  const does = effect === "unsure" ? "is drawn as unsure" : "is not proposed any more";
  const why = `brushed off ${times(brushedOff)}${kept > 0 ? `, kept ${times(kept)}` : ", never kept"}`;
  return `${what} ${does}: ${why}.`;
}

/** What haste of a writer means, as a sentence. */
function hasteInWords({ haste, means }: LearntHasteView): string {
  const [most, next] = means;
  const kept = means.map((one) => `${times(one.kept)} as ${sayHasteDays(haste, one.days)}`).join(", ");
  return most && most.kept > (next?.kept ?? 0)
    ? `${sayHasteName(haste)} means ${sayHasteDays(haste, most.days)}: kept ${kept}.`
    : `${sayHasteName(haste)} is read as usual: kept ${kept}.`;
}

/** What a phrase of a writer is from now on, as a sentence. */
function kindInWords({ phrase, read, kind, times: count }: LearntKindView): string {
  return `“${phrase}” is ${A_KIND[kind]}, not ${A_KIND[read]}: set right ${times(count)}.`;
}

/** What priority a writer's slips have from now on, as a sentence. */
function priorityInWords({ read, keptAs, kept, of }: LearntPriorityView): string {
  return `What reads as ${read} priority is ${keptAs}: kept so ${times(kept)} of ${of}.`;
}

/** What was set right among all that a rule found, as a sentence. */
function wordingInWords({ rule, read, brushedOff, changed, kept }: LearntWordingView): string {
  const right = [
    brushedOff > 0 ? `brushed off ${times(brushedOff)}` : null,
    changed > 0 ? `made another kind ${times(changed)}` : null,
    kept > 0 ? `kept as it was ${times(kept)}` : "never kept as it was",
  ];
  return `${KIND_NAMES[read]}, because: ${rule}. It was ${right.filter(Boolean).join(", ")}.`;
}

interface Learnt {
  readonly words: string;
  readonly isUnlearnt: boolean;
  readonly from: LearntView["from"];
}

/** A lesson about a writer, and what the server is told when it is turned over. */
interface Turnable {
  readonly key: string;
  readonly lesson: Learnt;
  readonly what: { readonly writer: string };
}

function turnable(one: Omit<Learnt, "words"> & { writer: string }, words: string, which: object): Turnable {
  const { writer, isUnlearnt, from } = one;
  const what = { writer, ...which, isUnlearnt: !isUnlearnt };
  return { key: JSON.stringify(what) + words, lesson: { words, isUnlearnt, from }, what };
}

function OneLesson({ lesson, onTurn }: { lesson: Learnt; onTurn: () => void }) {
  return (
    <li className="flex items-baseline gap-3 border-t border-hairline px-5 py-2 first:border-t-0">
      <div className={`min-w-0 flex-1 text-[13.5px] ${lesson.isUnlearnt ? "text-soft line-through" : ""}`}>
        <span className="[overflow-wrap:anywhere]">{lesson.words}</span>
        <span className="block truncate text-[12px] text-soft">
          {lesson.from.length === 0 ? "brought in from elsewhere" : "from "}
          {lesson.from.map((one, i) => (
            <span key={one.id}>
              {i > 0 && ", "}
              <Link className="word" href={`/sort/${one.id}`}>
                {one.subject}
              </Link>
            </span>
          ))}
        </span>
      </div>
      <button type="button" className="btn is-small is-line flex-none" onClick={onTurn}>
        {lesson.isUnlearnt ? "Learn it again" : "Unlearn"}
      </button>
    </li>
  );
}

/** What the reader has learnt from brushing off and keeping, writer by writer; each can be unlearnt. */
export function LearntScreen({ first }: { first: AllLearntView }) {
  const queries = useQueryClient();
  const say = useSay();
  const { data } = useQuery({
    queryKey: ["learnt"],
    queryFn: () => ask<AllLearntView>("/api/learnt"),
    initialData: first,
  });
  const { wording, kinds, priorities, lessons, haste } = data;
  const turn = async (what: object) => {
    try {
      queries.setQueryData(["learnt"], await tell<AllLearntView>("/api/learnt", what));
    } catch (error) {
      say({ text: error instanceof ServerSaysNo ? error.message : "The server cannot be reached.", isFault: true });
    }
  };
  const of = (writer: string): Turnable[] =>
    [
      ...haste.map((one) => turnable(one, hasteInWords(one), { haste: one.haste })),
      ...priorities.map((one) => turnable(one, priorityInWords(one), { read: one.read })),
      ...kinds.map((one) => turnable(one, kindInWords(one), { phrase: one.phrase })),
      ...lessons.map((one) => {
        const { rule, phrase, isMarked } = one;
        return turnable(one, inWords(one), { rule, phrase, isMarked });
      }),
    ].filter((one) => one.what.writer === writer);
  const writers = new Map([...kinds, ...priorities, ...lessons, ...haste].map(({ writer, name }) => [writer, name]));
  return (
    <div className="min-h-0 flex-1 overflow-y-auto px-4 pb-4 pt-[14px]">
      <section className="pan mx-auto max-w-[900px]" aria-label="What was learnt">
        <div className="border-b border-hairline px-5 py-3">
          <h1 className="text-[20px]">What was learnt</h1>
          <p className="max-w-[80ch] text-[12.5px] text-soft">
            What is brushed off is doubted in the next letters of the same writer, and set words are not proposed again;
            what is kept counts for it; words that you marked yourself are proposed from then on. It holds for everybody
            here, at once, and undo takes it back. The day for which “as soon as possible” or “next Friday” was kept is
            what it means with that writer from then on; so is the priority that most of theirs were kept with. A kind
            that you set right is that kind when the same words come again.
          </p>
        </div>
        {writers.size === 0 && wording.length === 0 && (
          <p className="px-5 py-6 text-soft">
            Nothing yet. Brush a slip off in Sort, and what was learnt from it stands here.
          </p>
        )}
        {wording.length > 0 && (
          <section aria-label="In everybody’s letters" className="border-t border-hairline">
            <h2 className="px-5 pt-3 text-[15px]">In everybody’s letters</h2>
            <p className="px-5 text-[12.5px] text-soft">
              Passages that are worded like those that were set right are read the same way, whoever writes them.
            </p>
            <ul>
              {wording.map((one) => (
                <OneLesson
                  key={`${one.rule} ${one.read} ${one.isUnlearnt}`}
                  lesson={{ ...one, words: wordingInWords(one) }}
                  onTurn={() => void turn({ rule: one.rule, read: one.read, isUnlearnt: !one.isUnlearnt })}
                />
              ))}
            </ul>
          </section>
        )}
        {[...writers].map(([writer, name]) => (
          <section key={writer} aria-label={name} className="border-t border-hairline first:border-t-0">
            <h2 className="px-5 pt-3 text-[15px]">{name}</h2>
            <p className="px-5 text-[12.5px] text-soft">{writer}</p>
            <ul>
              {of(writer).map(({ key, lesson, what }) => (
                <OneLesson key={key} lesson={lesson} onTurn={() => void turn(what)} />
              ))}
            </ul>
          </section>
        ))}
      </section>
    </div>
  );
}
