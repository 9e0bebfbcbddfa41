import type { AllLearntView } from "../../core/views/learnt-view";
import type { Database } from "../engine/database";
import type { Viewer } from "../need-to-know";
import { hasteLearntFor } from "./haste";
import { kindsLearntFor, wordingLearntFor } from "./house-examples";
import { learntFor } from "./lessons";
import { calendarOf } from "./people";
import { prioritiesLearntFor } from "./priorities";

/** All that was learnt, of letters that a viewer may see. */
export async function allLearntFor(db: Database, viewer: Viewer): Promise<AllLearntView> {
  return {
    wording: await wordingLearntFor(db, viewer),
    kinds: await kindsLearntFor(db, viewer),
    priorities: await prioritiesLearntFor(db, viewer),
    lessons: await learntFor(db, viewer),
    haste: await hasteLearntFor(db, viewer, await calendarOf(db)),
  };
}
