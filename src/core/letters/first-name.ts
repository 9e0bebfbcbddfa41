/** Words by which a name is that of a house, a desk or a shop: nobody's first name is among them, "the" least of all. */
const OF_A_HOUSE =
  /^the\s|\s(?:of|and|&)\s|(?:^|\s)(?:desk|office|team|council|board|department|dept|control|services?|accounts|sales|support|reception|claims|orders|estates|school|college|university|hospital|clinic|library|museum|theatre|hotel|club|society|association|company|group|agency|bank|ltd|limited|plc|inc|gmbh)\.?(?:\s|$)/i;

/** What stands before a name and is no part of it. */
const TITLE =
  /^(?:(?:mr|mrs|ms|miss|dr|prof|professor|sir|dame|lady|lord|rev|revd|father|sister|st)\.?\s+)+(?=\p{L})/iu;

/** Whether a name is that of a house, a desk or a shop: "Claims Desk", "The Tool Barn", "Beck and Sons". */
export function isHouseName(name: string): boolean {
  return OF_A_HOUSE.test(name.trim());
}

/** By what somebody is addressed: "Dr Hal Pemberton" is Hal; a house is addressed by its whole name. Empty for an empty name. */
export function firstNameOf(name: string): string {
  const bare = name.trim();
  if (isHouseName(bare)) return bare;
  return bare.replace(TITLE, "").split(/\s+/)[0]!;
}
