import { z } from "zod";
import { bringTaskBack, putConversationBy, putTaskBy } from "../../core/tasks/decisions/put-by";
import { define } from "../act";
import { conversationFacts } from "../facts";
import { id } from "../inputs";
import { handFacts } from "./hand-acts";

const until = z.iso.datetime().nullable();

export const putBy = define({
  name: "put by",
  input: z.object({ conversationId: id, until }),
  load: (db, actor, input) => conversationFacts(db, actor, input.conversationId),
  decide: (facts, input, now) => putConversationBy(facts, input, now),
});

export const putTaskByAct = define({
  name: "put task by",
  input: z.object({ taskId: id, until }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, input, now) => putTaskBy(facts, input, now),
});

export const bringBack = define({
  name: "bring back",
  input: z.object({ taskId: id }),
  load: (db, actor, input) => handFacts(db, actor, input.taskId),
  decide: (facts, _input, now) => bringTaskBack(facts, now),
});
