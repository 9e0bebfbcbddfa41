/**
 * Where a letter of ours is: waiting (its seconds for taking it back, or a pause between tries), sending, sent, or given up
 * after the last try.
 */
export type OutgoingState = "waiting" | "sending" | "sent" | "given up";

/** Milliseconds in which a letter can be taken back before it goes out. */
export const TAKE_BACK_MS = 10_000;

/**
 * Pauses between tries, in minutes: growing, as RFC 5321 section 4.5.4.1 asks. Two days in all and not the four to five of
 * a relay: here somebody waits to hear that it failed.
 */
const PAUSES_MINUTES = [1, 5, 15, 30, 60, 120, 240, 480, 720, 1_200];

/** Milliseconds until the next try after `tries` that failed for the time being; null when it is time to give up, loudly. */
export function pauseAfter(tries: number): number | null {
  const minutes = PAUSES_MINUTES[tries - 1];
  return minutes === undefined ? null : minutes * 60_000;
}

/** Whether a server's reply says never (5yz), or not now (RFC 5321 section 4.2.1). Without a code it is not now. */
export function isRefusal(code: number | null): boolean {
  return code !== null && code >= 500 && code < 600;
}
