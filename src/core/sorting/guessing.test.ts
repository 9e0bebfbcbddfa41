import { expect, test } from "vitest";
import { guessProject } from "./guess-project";
import { guessWorkstream } from "./guess-workstream";

const projects = [
  { id: "mill", firmId: "council", words: ["Mill Weir", "fish pass"] },
  { id: "quay", firmId: "council", words: ["Old Quay"] },
  { id: "barn", firmId: "farm", words: ["Barn roof"] },
];

test("a project is known by the subject, by its firm alone, by its words, and else by where the writer's letters went before", () => {
  expect([
    guessProject("Fish pass: the gate", "", null, projects),
    guessProject("A question", "", "farm", projects),
    guessProject("A question", "What of the Old Quay?", "council", projects),
    guessProject("A question", "Hello", "council", projects),
    guessProject("A question", "Hello", "council", projects, "quay"),
    guessProject("Mill Weir", "Hello", "council", projects, "quay"),
    guessProject("A question", "Hello", null, projects, "gone"),
  ]).toEqual(["mill", "barn", "quay", null, "quay", "mill", null]);
});

test("a workstream is known by the words of its name, where one alone has most of them", () => {
  const streams = [
    { id: "s", projectId: "mill", name: "Surfacing" },
    { id: "g", projectId: "mill", name: "Gate and locks" },
    { id: "l", projectId: "mill", name: "Lock keeper" },
    { id: "o", projectId: "quay", name: "Opening" },
  ];
  const guess = (title: string, project: string | null = "mill", subject = "") =>
    guessWorkstream(title, subject, project, streams);
  expect([
    guess("Mend the torn surface"),
    guess("Paint the gates"),
    guess("Oil the lock"),
    guess("Oil the lock of the gate"),
    guess("Plan the opening"),
    guess("Plan the opening", "quay"),
    guess("Plan the opening", null),
    guess("Send it", "mill", "The lock keeper’s house"),
    guess("Send it", "quay", "The opening"),
  ]).toEqual(["s", "g", null, "g", null, "o", null, "l", null]);
});
