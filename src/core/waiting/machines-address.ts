/** Whether an address says itself that nobody reads what is written to it: common practice of senders, not a standard. */
export function isMachinesAddress(address: string): boolean {
  return /^(?:[\w.+-]*[.+_-])?(?:no-?reply|do-?not-?reply|mailer-daemon|postmaster|bounces?)(?:[.+_-][\w.+-]*)?@/i.test(
    address,
  );
}
