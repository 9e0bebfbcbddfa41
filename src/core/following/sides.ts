import type { People } from "../reading/slip";
import type { OpenItem } from "./item";

/** Whose side somebody is on, and who owes what to whom. */
export class Sides {
  private readonly team: ReadonlySet<string>;

  constructor(people: People) {
    this.team = new Set(people.team.map((person) => person.address));
  }

  private sideOf(address: string): string {
    return this.team.has(address) ? "ours" : address.slice(address.lastIndexOf("@") + 1);
  }

  areTogether(one: string, other: string): boolean {
    return one === other || this.sideOf(one) === this.sideOf(other);
  }

  /** Whether somebody can speak for whoever has to act: the owner, a colleague in their place, or anybody asked where nobody is named. */
  owes(writer: string, item: OpenItem): boolean {
    // Trouble is cured by whoever can, also by the one who reports it.
    if (writer === item.owner || item.kind === "trouble") return true;
    if (writer === item.asker) return false;
    return item.owner === null || this.areTogether(writer, item.owner);
  }

  /** Whether somebody can speak for whoever wants it. */
  wants(writer: string, item: OpenItem): boolean {
    return writer === item.asker || (!this.owes(writer, item) && this.areTogether(writer, item.asker));
  }
}
