/** A project as letters are matched to it: the words it is known by, and whose it is. */
export interface ProjectWords {
  readonly id: string;
  readonly firmId: string | null;
  /** Names and phrases that speak of this project, its own name among them. */
  readonly words: readonly string[];
}

/**
 * The project a letter most likely belongs to: the one whose words stand in the subject; else the only project of the
 * writer's firm; else the one project named in the text; else the one that the writer's letters went to before. Null where
 * none or several fit alike.
 * @param habit the project that all of the writer's last letters went to; null where they went to several, or none
 */
export function guessProject(
  subject: string,
  text: string,
  firmId: string | null,
  projects: readonly ProjectWords[],
  habit: string | null = null,
): string | null {
  const named = (where: string, among: readonly ProjectWords[]) => {
    const lower = where.toLowerCase();
    const fitting = among.filter((project) =>
      project.words.some((word) => word.length > 2 && lower.includes(word.toLowerCase())),
    );
    return fitting.length === 1 ? fitting[0]!.id : null;
  };
  const own = firmId ? projects.filter((project) => project.firmId === firmId) : [];
  return (
    named(subject, projects) ??
    (own.length === 1 ? own[0]!.id : null) ??
    named(text.slice(0, 5_000), own.length > 0 ? own : projects) ??
    (projects.some((project) => project.id === habit) ? habit : null)
  );
}
