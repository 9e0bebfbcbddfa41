import { sql } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { wayInNamed } from "@/acts/ways-in";
import { newId } from "@/data/ids";
import { find } from "@/data/queries/find";
import { letterFor } from "@/data/queries/letters";
import { projectsFor } from "@/data/queries/people";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { taskSheet, tasksFigures, tasksPage } from "@/data/queries/tasks";
import { project, projectMember } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

// Suki must not learn of two things of Ines's: a private project called Nightshade, and a mailbox of her own in which
// somebody called Quillfeather writes. Everything that Suki can be told is searched for these two words.
const SECRETS = /nightshade|quillfeather/i;

describe.each(ENGINES)("on %s", (engine) => {
  let house: TestHouse;
  let nightshade: string;
  let taskNumber: number;
  let letterId: string;
  let conversationId: string;

  const act = (who: string, name: string, input: unknown) =>
    perform(house.db, { personId: who, now: NOW }, name, input);
  const field = (taskId: string, field: string, to: unknown, who = house.ines) =>
    act(who, "change task", { taskId, change: { field, to }, was: null });

  beforeAll(async () => {
    house = await testHouse(engine);
    nightshade = newId();
    await house.db.insert(project).values({ id: nightshade, name: "Nightshade", isPrivate: true });
    await house.db.insert(projectMember).values({ projectId: nightshade, personId: house.ines });
    const own = await wayInNamed(house.db, "ines alone", "mailbox", house.ines);
    const [taken] = await takeIn(
      house.db,
      [
        {
          raw: rawLetter({
            from: "Ada Quillfeather <ada@quillfeather.example>",
            subject: "Quillfeather matter",
            body: "Could you send me the Quillfeather papers by Friday?",
          }),
        },
      ],
      own,
      NOW,
    );
    if (!taken || taken.outcome === "refused") throw new Error("refused");
    letterId = taken.letterId;
    conversationId = (await letterFor(house.db, { personId: house.ines }, letterId))!.conversationId;
    const made = await act(house.ines, "make task", {
      title: "Paint the shed",
      ownerId: house.ines,
      due: null,
      priority: "normal",
      projectId: nightshade,
      workstreamId: null,
    });
    if (!made.ok) throw new Error(made.says);
    taskNumber = Number(made.made[0]!.slug.split("-")[1]);
    // Suki is given the task: she may see it, as an exception, but not the project it stands in.
    await field(made.made[0]!.id, "owner", { side: "ours", personId: house.suki });
    await field(made.made[0]!.id, "project", { projectId: null, workstreamId: null });
    await field(made.made[0]!.id, "project", { projectId: nightshade, workstreamId: null });
  });
  afterAll(() => house.close());

  const everythingFor = async (personId: string) => {
    const viewer = { personId };
    const look = { whose: "everyone", projectId: null, show: "open" } as const;
    return JSON.stringify([
      await sortPage(house.db, viewer, "sort", null),
      await sortPage(house.db, viewer, "dealt with", null),
      await conversationFor(house.db, viewer, conversationId),
      await letterFor(house.db, viewer, letterId),
      await tasksPage(house.db, viewer, look, null),
      await tasksPage(house.db, viewer, { ...look, projectId: nightshade }, null),
      await tasksFigures(house.db, viewer, look),
      await taskSheet(house.db, viewer, taskNumber),
      await projectsFor(house.db, viewer),
      await find(house.db, viewer, "quillf"),
      await find(house.db, viewer, "ada"),
      await find(house.db, viewer, "nightsh"),
    ]);
  };

  test("whoever may see it is told of it", async () => {
    const told = await everythingFor(house.ines);
    expect(told.match(/quillfeather/gi)?.length).toBeGreaterThan(5);
    expect(told.match(/nightshade/gi)?.length).toBeGreaterThan(3);
  });

  test("whoever may not is told nothing, not even a name in what happened to a task of their own", async () => {
    const told = await everythingFor(house.suki);
    expect(told).toContain("Paint the shed");
    expect(told).toContain("moved it to another project");
    expect(told.match(SECRETS)).toBeNull();
  });

  test("a collision about a project that one may not see does not name it", async () => {
    const task = (await taskSheet(house.db, { personId: house.suki }, taskNumber))!.task;
    const done = await act(house.suki, "change task", {
      taskId: task.id,
      change: { field: "project", to: { projectId: null, workstreamId: null } },
      was: { projectId: newId(), workstreamId: null },
    });
    expect(done.ok ? "done" : done.says).toContain("“another project”");
    expect(done.ok ? "done" : done.says).not.toMatch(SECRETS);
  });

  test("nobody puts a task into a project, or onto a person, that they may not name", async () => {
    const task = (await taskSheet(house.db, { personId: house.suki }, taskNumber))!.task;
    for (const to of [
      { projectId: nightshade, workstreamId: null },
      { projectId: newId(), workstreamId: null },
    ])
      expect((await field(task.id, "project", to, house.suki)).ok).toBe(false);
    expect((await field(task.id, "owner", { side: "ours", personId: newId() }, house.suki)).ok).toBe(false);
  });

  test("a letter that also came through a shared way in is everybody's, and so is its writer", async () => {
    const raw = await house.db.execute(sql`select bytes from raw_letter where letter_id = ${letterId}`);
    await takeIn(house.db, [{ raw: new Uint8Array(raw.rows[0]!.bytes as Buffer) }], house.shared, NOW);
    const found = await find(house.db, { personId: house.suki }, "quillf");
    expect(found.letters).toHaveLength(1);
    expect(found.people.map((one) => one.name)).toEqual(["Ada Quillfeather"]);
  });
});
