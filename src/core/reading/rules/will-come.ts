import { bareClause } from "../bare-clause";
import type { KindRule } from "../kind-rule";

const WILL_COME =
  /\b\w+s leave (?:here|us|today|tomorrow|on)\b|\b(?:(?:the|an?|our|your|both|all|they|it|that|this|these|those|\w+s)\b(?: [a-zß-ÿ\d-]+){0,4} )(?:follows?|(?:will|should) (?:follow|arrive|come|reach you|leave (?:here|us)|go out|be (?:fitted|installed|picked up|mounted|laid|printed|painted|ordered|completed|corrected|processed|looked at|sorted out|delivered|sent|posted|shipped|with you|dispatched|made|ready|done|finished|replaced|repaired|collected|returned|paid|refunded))|is coming (?:on|tomorrow|by|next|this|first|round|to (?:fix|repair|look|check|see|measure|collect|fetch|do))|comes? (?:on|by|tomorrow|next|with|this)|leaves? (?:here|us|on|tomorrow)|goes? (?:on (?:the|a) (?:next )?(?:plane|boat|train|truck|lorry|ship|ferry|van)\b|out|off)(?: to (?:you|them|him|her))? (?:on|by|tomorrow|today|tonight)|reach(?:es)? you (?:on|by|tomorrow))\b/i;

/** "Payment will be made within two weeks". */
const ACT_WILL_BE =
  /^(?:(?:full |final |the |your )*)(?:payment|delivery|collection|dispatch|shipment|installation|repair|replacement|work|refund) will (?:be (?:made|carried out|done|completed|arranged|effected|on)|take place|follow|start|begin)\b/i;

/** "The rest follows on Thursday", "your linen comes on Friday", "they will be delivered on the 3rd". */
export const willCome: KindRule = {
  name: "something will come",
  confidence: 0.75,
  says: "promise",
  find({ text }) {
    const bare = bareClause(text);
    if (/\?$/.test(text) || /\b(?:not|if|when|whether|hope|once|threatening|could|might)\b/i.test(bare)) return null;
    // Guests and auditors come by themselves: nobody has promised them.
    if (
      /^(?:the|our|your|two|three|some) (?:\w+ )?(?:auditors?|inspectors?|guests?|visitors?|children|pupils|families|parents|police|board|council|press|minister|mayor|bride|couple)\b/i.test(
        bare,
      )
    )
      return null;
    if (
      /^(?:the |my |our )?[\w-]+(?: [\w-]+){0,3} follows?(?: (?:by|on|in|separately|shortly|soon|later|tomorrow|next)\b.*)?[.!]?$/i.test(
        bare,
      )
    )
      return "promise";
    if (ACT_WILL_BE.test(bare)) return "promise";
    if (
      /^[\w -]{3,40} to follow[.!]?$|\b(?:is|are) with you (?:on|by|in|tomorrow|tonight|next|before)\b|^(?:(?:the|our|your|my|a) )?(?:[\w’'-]+ )?(?:report|letter|bill|form|order|invoice|copy|draft|file|answer|parcel|papers?|certificate|drawings?) goes? (?:to|off to)\b/i.test(
        bare,
      )
    )
      return "promise";
    return WILL_COME.test(bare) ? "promise" : null;
  },
};
