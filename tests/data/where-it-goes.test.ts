import { eq } from "drizzle-orm";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { newId } from "@/data/ids";
import { letterFor } from "@/data/queries/letters";
import { conversationFor } from "@/data/queries/sort";
import { project, projectMember, workstream } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("where a letter goes, on %s", (engine) => {
  let house: TestHouse;
  const [weir, quay, secret, gate] = [newId(), newId(), newId(), newId()];
  beforeAll(async () => {
    house = await testHouse(engine);
    await house.db.insert(project).values([
      { id: weir, name: "Mill Weir", words: ["fish pass"] },
      { id: quay, name: "Old Quay", words: [] },
      { id: secret, name: "The will", words: [], isPrivate: true },
    ]);
    await house.db.insert(projectMember).values({ projectId: secret, personId: house.ines });
    await house.db.insert(workstream).values([
      { id: gate, projectId: weir, name: "Gates", place: 0 },
      { id: newId(), projectId: weir, name: "Planting", place: 1 },
    ]);
  });
  afterAll(() => house.close());

  const viewer = () => ({ personId: house.ines });
  const act = async (name: string, input: unknown) => {
    const done = await perform(house.db, { ...viewer(), now: NOW }, name, input);
    if (!done.ok) throw new Error(done.says);
  };
  const comes = async (from: string, subject: string, body = "Hello,\n\nCould you ring me on Monday?\n\nA") => {
    const raw = rawLetter({ from: `A Writer <${from}>`, subject, body });
    const [taken] = await takeIn(house.db, [{ raw }], house.shared, NOW);
    if (!taken || !("letterId" in taken)) throw new Error("It was not taken in.");
    const { conversationId } = (await letterFor(house.db, viewer(), taken.letterId))!;
    return (await conversationFor(house.db, viewer(), conversationId))!;
  };
  /** A letter that was put on a project and is dealt with. */
  const filed = async (from: string, projectId: string | null) => {
    const { id: conversationId } = await comes(from, `A word ${newId()}`);
    await act("goes to", { conversationId, projectId });
    await act("nothing to do", { conversationId });
  };

  test("a letter that names no project goes where all its writer's letters went, and where it says something else it goes there", async () => {
    const from = "ada@beech.example";
    expect((await comes(from, "Hello")).projectId).toBeNull();
    await filed(from, quay);
    expect((await comes(from, "One thing more")).projectId).toBe(quay);
    expect((await comes(from, "The fish pass")).projectId).toBe(weir);
    expect((await comes("bo@oak.example", "One thing more")).projectId).toBeNull();
  });

  test("whoever writes about several things goes nowhere by habit, and what still lies in Sort is no habit", async () => {
    const from = "cy@elm.example";
    const first = await comes(from, "First");
    await act("goes to", { conversationId: first.id, projectId: quay });
    expect((await comes(from, "Second")).projectId).toBeNull();
    await act("nothing to do", { conversationId: first.id });
    expect((await comes(from, "Third")).projectId).toBe(quay);
    await filed(from, weir);
    expect((await comes(from, "Fourth")).projectId).toBeNull();
  });

  test("nothing goes into a private project by habit", async () => {
    const from = "di@fir.example";
    await filed(from, secret);
    expect((await comes(from, "Next")).projectId).toBeNull();
    await house.db.update(project).set({ isPrivate: false }).where(eq(project.id, secret));
    expect((await comes(from, "And next")).projectId).toBe(secret);
  });

  test("a slip finds its workstream by its title; on another project it has none", async () => {
    const body = "Hello,\n\nCould you paint the gate by Friday? Please also ring the bank.\n\nA";
    const { id: conversationId, slips } = await comes("eve@ash.example", "Fish pass", body);
    expect(slips.map((slip) => [slip.title, slip.workstreamId])).toEqual([
      ["Paint the gate", gate],
      ["Ring the bank", null],
    ]);
    await act("goes to", { conversationId, projectId: quay });
    const moved = (await conversationFor(house.db, viewer(), conversationId))!;
    expect(moved.slips.map((slip) => [slip.projectId, slip.workstreamId])).toEqual([
      [quay, null],
      [quay, null],
    ]);
  });

  test("who is to act may be said by their work alone", async () => {
    await house.db.execute(`update person set work = 'Drawings and models' where id = '${house.suki}'`);
    const body = "Hello,\n\nWhoever does the drawings should mark the gate on the plan.\n\nA";
    const { slips } = await comes("fay@larch.example", "The plan", body);
    expect(slips.map((slip) => [slip.title, slip.owner?.name])).toEqual([["Mark the gate on the plan", "Suki Aldane"]]);
  });
});
