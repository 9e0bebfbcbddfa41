import type { FoundSlip, Priority } from "./slip";

/** How often what was read as one priority in a writer's letters was kept as another, or as the same. */
export interface PriorityLesson {
  readonly writer: string;
  readonly read: Priority;
  readonly keptAs: Priority;
  readonly kept: number;
}

/** Kept as often so, and more often than in all other ways, a priority is that from then on. */
const ENOUGH = 3;

/** What a priority read in a writer's letters is to be; null where it stays as it is read. */
export function priorityMeant(
  writer: string,
  read: Priority,
  lessons: readonly PriorityLesson[],
): PriorityLesson | null {
  const mine = lessons.filter((lesson) => lesson.writer === writer && lesson.read === read);
  const [most] = [...mine].sort((a, b) => b.kept - a.kept);
  const all = mine.reduce((sum, { kept }) => sum + kept, 0);
  return most && most.keptAs !== read && most.kept >= ENOUGH && most.kept * 2 > all ? most : null;
}

/** Slips with the priority that this writer's were kept as before; the reason says so. All others are as they were. */
export function withPriorities<Slip extends FoundSlip>(
  slips: readonly Slip[],
  writer: string | null,
  lessons: readonly PriorityLesson[],
): Slip[] {
  if (writer === null || lessons.length === 0) return [...slips];
  return slips.map((slip) => {
    const meant = priorityMeant(writer, slip.priority, lessons);
    if (!meant) return slip;
    const reason = `${slip.reason}, of ${meant.keptAs} priority since this writer’s were kept so before`;
    return { ...slip, reason, priority: meant.keptAs, readPriority: slip.priority };
  });
}
