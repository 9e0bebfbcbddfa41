import { fruitOf, readReference } from "../tasks/reference";

// Every task and every workstream has a mail address of its own at our domain: a task's from its reference
// ("quince-417@in.firm.example"), a workstream's from its names ("harbour-green.safety-file@in.firm.example").

/** A name as a part of an address: lower case ASCII letters and figures, joined by hyphens. */
export function addressWord(name: string): string {
  return name
    .normalize("NFKD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40);
}

export function taskAddress(slug: string, domain: string): string {
  return `${slug}@${domain}`;
}

export function workstreamAddress(project: string, workstream: string, domain: string): string {
  return `${addressWord(project)}.${addressWord(workstream)}@${domain}`;
}

/** What an address of ours may be for: the number of a task, or the words of a project and workstream; null for any other. */
export function readOurAddress(
  address: string,
):
  | { readonly kind: "task"; readonly number: number }
  | { readonly kind: "workstream"; readonly project: string; readonly workstream: string }
  | null {
  const local = address.split("@")[0]!.split("+")[0]!.toLowerCase();
  const workstream = /^([a-z0-9-]{1,40})\.([a-z0-9-]{1,40})$/.exec(local);
  if (workstream) return { kind: "workstream", project: workstream[1]!, workstream: workstream[2]! };
  const number = readReference(local);
  // Fruit and number check each other: a slip of the pen reaches no other task.
  return number === null || local !== `${fruitOf(number)}-${number}` ? null : { kind: "task", number };
}
