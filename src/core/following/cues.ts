import type { ChangeKind } from "./item";

/** Words by which somebody says what has become of a thing. Each is said by the side that owes it, or by the one that wants it. */
export interface Cue {
  readonly change: ChangeKind;
  readonly pattern: RegExp;
  readonly name: string;
}

const DONE_VERB =
  "sent|taken (?:out|off|away)|left out|added|changed|adjusted|reserved|prepared|drawn up|compiled|dropped off|unloaded|brought|send off|posted|mailed|emailed|delivered|dispatched|despatched|shipped|booked|ordered|paid|printed|finished|completed|signed|checked|tested|fixed|repaired|mended|replaced|cleaned|called|rung|rang|phoned|written|made|done|packed|loaded|collected|picked up|handed over|uploaded|filed|confirmed|arranged|sorted|settled|installed|mounted|hung|updated|corrected|returned|transferred|released|issued|approved|cleared|attached|enclosed|weighed|measured|painted|cut|welded|baked|brewed|translated|recorded|copied|scanned|registered|submitted|entered|removed|moved|asked|informed|told";

/** Said by whoever owes it. Asked in this order. */
export const OWNER_CUES: readonly Cue[] = [
  {
    change: "called off",
    name: "no longer wanted",
    pattern:
      /\b(?:(?:you|we) (?:can|may) (?:forget|ignore|skip|drop|strike)\b|please (?:disregard|ignore)\b|decided against\b|no need for (?:it|them|that|the \w+) (?:any ?more|after all)\b)/i,
  },
  {
    change: "declined",
    name: "cannot or will not",
    pattern:
      /\b(?:(?:i|we|he|she|they|nobody|no one)\s+(?:(?:really|simply|sadly|unfortunately|regrettably)\s+)?(?:can(?:not|['’]t)|could(?: not|n['’]t)|won['’]t|will not|shall not|am unable|are unable|is unable|do not|don['’]t|no longer|can no longer)\b(?! (?:know|think|see (?:why|it|that|any|one|where|how)|wait|find(?! (?:you|one|any))|yet|have (?:it|them|that) yet|until|before|forget|mind|remember|say|tell|tonight|today))|(?:not able|unable) to\b|['’](?:ve|re) stopped\b|(?:have|has) stopped \w+ing|sadly not|afraid not|regret that|not possible|impossible|no chance\b|no way\b|nothing doing|\bno [\w -]{2,30} from (?:me|us|our side)\b|may not (?:hand|give|share|send|let|do)\b|\bno [\w -]{2,30} to be had\b|none to be had|^not (?:out of|on|with|in|at) (?:this|my|our|these|those|that|the)\b|are not allowed|am not allowed|is not allowed|would rather not|['’]d rather not|wish i could|(?:have|has|got|there (?:is|are)) none\b|none (?:left|until|before)|out of stock|sold out|out of the question|there (?:won['’]t|will not) be\b|there will be no\b|have to (?:decline|pass|say no)|must (?:decline|refuse)|nobody can|(?:i|we)['’]m not (?:touching|doing|making)|you cannot have|can(?:not|['’]t) (?:do|hold|spare|offer|make|give|have|supply|let|lend|take))\b/i,
  },
  {
    change: "part",
    name: "a part of it",
    pattern:
      /\b(?:(?:the|its|their) (?:rest|others?|other half|remainder|balance|remaining|second half|second one|other one|other \w+)\b|half (?:of )?(?:it|them|the|your|our)\b|most of (?:it|them|the)\b|(?:some|most|part|parts|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|fifteen|twenty|thirty|forty|fifty|sixty|\d+) (?:kg |kilos? |boxes |pieces )?of (?:the|them|your|those|these|it)\b|(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten|eleven) (?:out )?of (?:the )?(?:\d+|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)\b|only \d+|the (?:first|last) (?:half|part|batch|few|two|three|four|five|six|ten|\d+)\b|so far\b|as far as|from \w to \w\b|\d+ to \d+\b|is still with\b|still (?:to come|missing|outstanding|open|(?:have|has|need|needs) to)|the (?:second|third|fourth|fifth) (?:one )?(?:follows?|comes?|will)\b|\bwithout the \w+, (?:which|whom|who|that)\b|(?:the )?others (?:follow|were|are|will)|all (?:but|except)\b)/i,
  },
  {
    change: "done",
    name: "it has been done",
    pattern: new RegExp(
      `\\b(?:(?:attached|enclosed|herewith|with this (?:letter|mail|e-?mail|message)|voil[àa]|here (?:you are|you go|it is|they are|it comes|they come|is the|are the|comes?)|here['’]s (?:the|your|our|my)|^here (?:is|are) |this is the)\\b|(?:see|find|in|with) (?:(?:the|your|our|my|a) )?(?:[\\w-]+ ){0,3}(?:attach\\w+|enclos\\w+)|(?:has|have|had|['’]s|['’]ve|is|are|was|were|got|been|now|all|already|just)\\s+(?:(?:now|already|just|also|all|both|been|safely|duly|finally|yesterday)\\s+)*(?:${DONE_VERB})\\b|(?:i|we|he|she|they)\\s+(?:(?:already|just|also)\\s+)?(?:transferred|returned|ordered|corrected|updated|arranged|settled|collected|repaired|replaced|printed|signed|sent|posted|emailed|mailed|delivered|shipped|dispatched|booked|ordered|paid|finished|signed|fixed|called|rang|phoned|wrote|did(?! not|n['’]t)|made|packed|handed|uploaded|checked|put|took|told|asked|spoke|left|brought|dropped)\\b|went (?:with|out|off|by|to|on|in|this|yesterday|into|back)\\b|(?:have|has|['’]ve|['’]s) been (?:up |over |down |out )?(?:there|aboard|round|to see)\\b|there (?:it is|they are|you (?:are|go))\\b|turned up\\b|(?:came|comes|come) to (?:£|€|\\$)?\\d|left (?:us|here|with|by|the|this|yesterday|on|at|for)\\b|^(?:looked (?:it|them|her|him|at|over|into|through)|had a look|went through|been (?:there|round|over|up)|tried it|searched|drove|picked (?:it|them|her) up|fitted|swapped|topped up|filled (?:it|them|her)|fetched|moved (?:it|them|the)|sent|posted|mailed|emailed|delivered|booked|ordered|paid|signed|fixed|called|rang|phoned|wrote|told|asked|spoke|packed|measured|counted|printed)\\b(?! (?:by|on|for) )|(?:is|are|was|were) with you (?:since|now|already)\\b|(?:is|are|['’]s) (?:clear|clean|empty|dry)\\b|(?:is|are) (?:waiting|lying|left) (?:for you|at|in|on)\\b|(?:is|are|['’]s|['’]re) (?:on (?:its|their|the) (?:way|truck|road|boat|van|lorry)|in (?:the|your) (?:post|mail|inbox|folder|bag)|(?:in|on|at) your \\w+|(?:on|in) the (?:shared )?(?:drive|folder|server|portal|noticeboard)|done|ready|finished|complete|sorted|settled|back|in place|running|in(?=[,.;!]|$)|(?:now |all |back )?(?:in|on|under|behind|outside) (?:the|your|our) (?!way\\b|case|list|air|dark|plan|diary|book\\b|calendar|middle|other|move|phone|road to|edge|fence)\\w+(?=[,.;!]|$))\\b|\\b(?:runs?|works?|holds?|goes|rolls|turns|closes|opens|starts|drives) (?:again|now|like|straight|smoothly|perfectly|fine|beautifully|sweetly|with a)\\b|good as new|(?:^|[,:]\\s*)(?:done|sorted|fixed|finished|booked|paid|sent|signed|posted|checked)\\b|arrived\\b|^(?:(?:the|your|our)\\s+)?[\\w-]+(?:\\s+[\\w-]+)?\\s+(?:${DONE_VERB})(?=[\\s]*(?:$|[.,;:!]))|(?:^|\\b)here\\.?$|\\bin (?:all|total)\\b|\\baltogether\\b|will find (?:it|them) (?:attached|in))`,
      "i",
    ),
  },
  {
    change: "moved",
    name: "at another time",
    pattern:
      /\b(?:(?:instead of|rather than|not) (?:on |this |next |by )?(?:today|tomorrow|mon|tues?|wed|thurs?|fri|sat|sun)\w*|not before\b|(?:please |kindly )?(?:reckon|count) (?:with|on) (?:the |next |mon|tues|wed|thurs|fri|sat|sun|\d)\w*|ran out of (?:hands|time)|more honest\b|more realistic\b|make (?:it|that) (?:mon|tues|wed|thurs|fri|sat|sun|next|the)\w*|(?:another|one|two|a) (?:more )?(?:weeks?|days?|fortnight|month)\b(?! (?:of|ago))(?:.{0,20}\b(?:later|longer|more)\b)?|(?:can|could) only\b|(?:did not|didn['’]t|have not|haven['’]t) (?:managed?|get round|got round|get to|got to)\b|(?:not|isn['’]t|aren['’]t) (?:quite |all )?(?:there|ready|done|finished|complete|back|here|in|through) yet|patience|(?:later|delayed|delay|late|behind|postponed?|put (?:back|off)|push(?:ed)? (?:back|to)|slipp(?:ed|ing)|moved? to|needs? (?:longer|until|another|more time)|takes? (?:longer|until)|has to wait|will have to wait|let you know when|(?:it|that|this) (?:has to|will have to|['’]ll have to|must) be\b|going to be (?:mon|tues?|wed|thurs?|fri|later)\w*|now (?:comes?|on|for|mon|tues?|wed|thurs?|fri)\w*))\b/i,
  },
  {
    change: "promised",
    name: "it will be done",
    pattern:
      /(?:\b(?:i|we|you|he|she|it|they|that|this|one|ones|\w+s?)(?:['’]ll| will| shall)\b(?! (?:not|need|want|require)\b)|\bwill (?:be|do|send|get|have|follow|come|go|leave|reach|ring|write|arrive|bring|check|ask|make|fix|post)\b|\b(?:follows?|comes?|leaves?) (?:on|by|tomorrow|today|tonight|next|this|with|mon|tues|wednes|thurs|fri)\w*|\b(?:is|are) coming\b(?! (?:along|on|apart|off|down))|\b(?:give|allow) (?:me|us|him|her|them) (?:until\b|(?:an?(?:other)?|one|two|three|five|ten|fifteen|twenty|thirty|half an|\d+) (?:more )?(?:minutes?|hours?|days?|weeks?|hour)\b)|\bpromise[.!]?$|^putting (?:it|them|the)\b|\bon (?:mon|tues|wednes|thurs|fri|satur|sun)day['’]s (?:lorry|van|run|truck|boat|train|round|delivery|post|ferry)\b|\bgets? done\b|\b(?:brings|sends|delivers|collects|fixes|repairs|replaces) (?:you|it|them|him|her|another|a new|the new)\b|\b(?:sends?|comes?|brings?|delivers?|collects?|fetch(?:es)?|picks? up|fits?|installs?|repairs?|fix(?:es)?) (?:(?:you|us|me|her|him|them|it|somebody|someone|over|round|out|(?:a|an|the|another|two|three|four|five) [\w-]+|new ones?) ){0,3}(?:back |up |here )?(?:on |by |at |first thing |early )?(?:(?:mon|tues|wednes|thurs|fri|satur|sun)day|tomorrow|today|tonight|this (?:morning|afternoon|evening)|next week)\b|\b(?:is|are) with you (?:by|before|on|at|in|tomorrow|today|tonight)\b|\b(?:is|are|would be) (?:fine|no problem|possible)\b|\bworks for (?:us|me)\b|\bon it\b|\bconsider it done\b|\bcount (?:me|us) in\b|\bcount on (?:me|us|it)\b|\bwith (?:the )?(?:great(?:est)? |much )?pleasure\b|\bgladly\b|\bof course\b(?! (?:i|we) (?:remember|know|understand|see|agree|sympathi[sz]e)\b)|\bno (?:problem|trouble|difficulty|bother)\b|\bcertainly\b|^(?:yes|ok|okay|sure|agreed|yep|right|fine|will do|done deal|absolutely)\b|\bit is[.!]?$|\bto follow\b|\b(?:you )?shall have\b|\bcan do\b|\bam (?:going to|about to)\b|['’]m on\b|\bin the (?:book|diary|plan|calendar)\b|\b(?:it|that|they|this) shall be\b|\bleave (?:it|that|this|them|the [\w ]{2,30}) (?:to|with) (?:me|us)\b|\b(?:put|pencilled) (?:you|it|them|[\w ]{2,20}) (?:down|in) for\b|\b(?:is|are) (?:booked|scheduled|planned|set|arranged) for\b|^slot (?:on|at)\b|\b(?:no|not a) (?:bother|worries|trouble|sweat)\b|\byou (?:get|have) (?:it|them|those|one)\b|^(?:and )?ill (?=be|do|send|bring|have|come|get|ring|call|write|post|make|check|let|take|fix|see|look)|^will (?:do|send|count|look|check|ask|bring|get|be|come|see|make|sort|fix|write|ring|call)\b)/i,
  },
];

/** Said by whoever wants it. */
export const ASKER_CUES: readonly Cue[] = [
  {
    change: "called off",
    name: "no longer wanted",
    pattern:
      /\b(?:no (?:further |more )?need (?:for|of|to)\b|(?:no longer|not|don['’]t|do not|doesn['’]t|isn['’]t|aren['’]t|neither)\b.{0,30}\b(?:need|needed|want|wanted|required|necessary)\b(?:.{0,20}(?:any ?more|after all|now))?|(?:need|want) (?:neither|none|no more)\b|no longer (?:need|want|required)|don['’]t trouble\b|please (?:disregard|ignore)\b|hold the \w+|forget (?:about )?(?:the|it|that|my|our)|cancel(?:led|s)?\b|please (?:don['’]t|do not) (?!forget|hesitate|wait|worry|be |mind|let )|call(?:ed|ing)? (?:it |that |the \w+ )?off|never mind|strike (?:it|them|from|the)|can strike|scrap (?:the|that|it)|drop (?:the|it|that)|withdraw|(?:is|are|have) off the (?:list|table)|don['’]t bother|no (?:\w+ )?(?:either|any ?more|after all)\b|(?:has|have|had) (?:fallen through|been (?:called off|cancelled))|\b(?:is|are) off[.!]?$|won['’]t be (?:needing|needed))/i,
  },
  {
    change: "reminded",
    name: "asked for again",
    pattern:
      /\b(?:(?:don['’]t|do not) (?:seem to |appear to |think (?:i|we) )?(?:have (?:had|got|received|seen)|know yet)|still (?:don['’]t|do not) (?:know|have|see)|(?<![^.!?]\s)(?:still )?no [\w-]+(?: [\w-]+)? (?:so far|yet|as yet|to date)\b|(?:have|got|had|heard|seen|received) nothing(?= (?:yet|so far|from (?:you|him|her|them)|back|until now)\b)|still (?:have|got|see|without) (?:no|nothing)|(?:still|yet) (?:waiting|missing|without|no|not|open|outstanding|need|have not|haven['’]t|to come)|(?:is|are) (?:still |also )?(?:missing|outstanding|overdue|without)|missing too|where(?:['’]s| is| are)\b|any (?:news|word|sign|progress|update)|remind(?:er|ing)?\b|chas(?:e|ing)\b|(?:has|have|had)(?: not|n['’]t)(?: yet)? (?:reached|arrived|come|heard|received|had|got|seen|been)|never (?:arrived|came|made|reached|got)|\bnothing (?:has |have )?(?:reached|arrived|come|came|happened)\b|\b(?:there was|was there) nothing\b|\bnobody (?:came|turned up|has come|showed)\b|\bnever (?:got|had|saw|received)\b|(?:did not|didn['’]t) (?:arrive|come|reach|get)|what (?:about|became|happened)|have you (?:had|been able|got round|forgotten)|as (?:i said|asked|mentioned)|once (?:more|again)|second time|how far|when (?:will|can|may|do) (?:i|we) (?:have|expect|get))/i,
  },
  {
    change: "done",
    name: "it has arrived",
    pattern:
      /(?:^(?:got|received)\b|\b(?:i|we)(?:['’]ve| have)? (?:just |now )?(?:got|received) (?:it|them|the|your|both|all)\b|\b(?:has|have|is|are) (?:now |just |all |both |safely )?(?:arrived|here|come|in)\b|\barrived (?:this|today|yesterday|safely|on|in|at)\b|\bcame (?:this|today|yesterday|with|in)\b|\b(?:works?|fits?|holds?|runs?) (?:now|again|perfectly|well|like)\b|\bis (?:in and|sorted|settled|solved|fixed)\b|['’]s (?:in|here|arrived|come|through|in and|sorted|settled|solved|fixed)\b|\b(?:hold|holds|works|work)\.?$|picked up\b)/i,
  },
  {
    change: "moved",
    name: "wanted at another time",
    pattern:
      /\b(?:instead\b|(?:days?|weeks?) (?:earlier|sooner|later)\b|can (?:take|wait) (?:until|till)|no earlier|earlier than|rather (?:by|on)|(?:need|want|wanted|needed) .{0,40}\b(?:already )?(?:by|on|before)\b|now (?:need|want|by)|not (?:before|until)|(?:bring|move|pull|push) .{0,20}(?:forward|back|to)|as late as)/i,
  },
];

/** Whether whoever wants a thing says that they no longer do. */
export function isCalledOff(text: string): boolean {
  return ASKER_CUES.some(({ change, pattern }) => change === "called off" && pattern.test(text));
}
