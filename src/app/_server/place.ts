import type { ConversationPlace } from "@/core/views/views";

/** The list of Sort that an address names; what cannot be read is what is left to sort. */
export function readPlace(text: string | null | undefined): ConversationPlace {
  return text === "dealt" ? "dealt with" : text === "put-by" ? "put by" : "sort";
}
