/** "Could you", "would you mind", "it would help if": words that ask politely for something to be done. */
const POLITE =
  /\bit(?:['’]d| would) be (?:wise|good|best|better|useful|helpful|advisable|kind|nice|great|sensible) (?:to|if)\b|^(?:could|can|would|will) (?:\w+ ){0,3}your (?!office|shop|house)\w+(?= (?!be\b)\w+)|\bit would [\w ]{2,40} to (?:have|get|receive|see|know|hear)\b|\bwould (?:really |greatly |certainly |much )?help\b(?! (?:you|him|her|them|nobody))|\b(?:i|we)?(?:['’]d| would) be (?:very |most |so )?(?:grateful|thankful|obliged|glad|happy) for\b|\b(?:could|can|would|will) (?:you|someone|somebody|anyone|one of you|we|they)\b(?! (?:believe|imagine|be (?:there|away|coming|at)|have (?:heard|seen)|like\b|prefer\b|rather\b|want (?:to|me|us)\b))|\bwould (?:you mind|it be possible)|\b(?:any|is there (?:any|a)) chance (?:of|you|that|to)|\bdo you think you could|\b(?:wonder(?:ing|ed)?|see) (?:if|whether) you (?:could|can|would|might)|\b(?:grateful|great|good|nice|lovely|helpful|help(?: \w+){0,3}|kind|appreciate(?: it)?|obliged|glad) if (?:you|someone|somebody|we|the|it|they|[A-Z]\w+)\b|\bmay i (?:ask|trouble|remind) you to|\bcan i (?:have|get|ask you)|\bcould (?:i|we) (?:have|get)|\b(?:i|we)(?:['’]d)? ?(?:must|would like to|would|need to|have to|like to)?(?: also| further| kindly)? ?ask (?:you|that|for)\b|\b(?:are|is) (?:kindly |hereby |therefore |also |further )*(?:requested|asked|instructed|reminded|required) to\b/i;

/** Whether somebody is politely asked to do something. */
export function isPolite(text: string): boolean {
  return POLITE.test(text);
}
