import type { AllLearntView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { hasteLearntFor } from "./haste";
import { learntFor } from "./lessons";
import { calendarOf } from "./people";

/** All that was learnt, of letters that a viewer may see. */
export async function allLearntFor(db: Database, viewer: Viewer): Promise<AllLearntView> {
  return {
    lessons: await learntFor(db, viewer),
    haste: await hasteLearntFor(db, viewer, await calendarOf(db)),
  };
}
