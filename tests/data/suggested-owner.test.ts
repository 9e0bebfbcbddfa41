import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { perform } from "@/acts/perform";
import { takeIn } from "@/acts/take-in";
import { newId } from "@/data/ids";
import { conversationFor, sortPage } from "@/data/queries/sort";
import { correspondent, firm } from "@/data/schema";
import { ENGINES, NOW, rawLetter, type TestHouse, testHouse } from "./test-house";

describe.each(ENGINES)("who had such tasks before, on %s", (engine) => {
  let house: TestHouse;
  const viewer = () => ({ personId: house.ines });
  const slipsOf = async (body: string, from: string, subject: string) => {
    await takeIn(house.db, [{ raw: rawLetter({ body, from, subject }) }], house.shared, NOW);
    const { rows } = await sortPage(house.db, viewer(), "sort", null);
    return (await conversationFor(house.db, viewer(), rows.find((row) => row.subject === subject)!.id))!;
  };
  beforeAll(async () => {
    house = await testHouse(engine);
    const council = newId();
    await house.db.insert(firm).values({ id: council, name: "Town Council", kind: "client" });
    await house.db.insert(correspondent).values([
      { id: newId(), name: "Colm Hartnell", address: "colm@council.example", firmId: council },
      { id: newId(), name: "Bryn Tallis", address: "bryn@council.example", firmId: council },
    ]);
    const colm = "Colm Hartnell <colm@council.example>";
    const { id, slips } = await slipsOf("Hi,\n\nCould Suki paint the railings by Friday?\n\nColm", colm, "Railings");
    const kept = { conversationId: id, slipIds: slips.map((slip) => slip.id) };
    expect(await perform(house.db, { ...viewer(), now: NOW }, "keep", kept)).toMatchObject({ ok: true });
  });
  afterAll(() => house.close());

  test.each([
    ["a colleague of that client asks for the like", "Bryn Tallis <bryn@council.example>", "railings", "Suki Aldane"],
    ["they ask for something else", "Bryn Tallis <bryn@council.example>", "bench", null],
    ["a stranger asks for the like", "Ada Lund <ada@beech.example>", "railings", null],
  ])("%s", async (what, from, thing, name) => {
    const { slips } = await slipsOf(`Hi,\n\nSomebody should look at the ${thing} soon.\n\nB`, from, what);
    expect(slips.map((slip) => [slip.owner, slip.suggested?.name ?? null])).toEqual([[null, name]]);
  });
});
