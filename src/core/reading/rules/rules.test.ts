import { describe, expect, test } from "vitest";
import { clausesIn } from "../clauses";
import type { KindRule, LetterGround } from "../kind-rule";
import type { SlipKind } from "../slip";
import { announced } from "./announced";
import { KIND_RULES } from "./list";
import { nothingAsked } from "./nothing-asked";

// A boatyard: another trade than the demo's. Each sentence was written for what it is, before the rules were tried on it.
const person = (name: string) => ({ id: name, name, address: `${name.toLowerCase().replace(" ", ".")}@yard.example` });
const ground: LetterGround = {
  writer: person("Fenna Dahl"),
  to: [person("Piet Holm")],
  people: { team: [person("Piet Holm"), person("Rosa Beck")], outside: [] },
};

function kindOf(sentence: string): SlipKind | null {
  const [clause] = clausesIn(sentence, [{ kind: "new", start: 0, end: sentence.length }]);
  if (!clause) return null;
  for (const rule of KIND_RULES) {
    const kind = rule.find(clause, ground);
    if (kind) return kind === "nothing" ? null : kind;
  }
  return null;
}

const SENTENCES: Readonly<Record<SlipKind | "nothing", readonly string[]>> = {
  ask: [
    "What we'd like is a list of all the moorings.",
    "There should be two people at the gate.",
    "How about sending them a card?",
    "Get better bolts for the keel.",
    "Stay well away from the winch.",
    "Mind the trees when you turn her.",
    "Tell us what you think of our plan.",
    "To update your details we need your passport.",
    "Could everyone bring a rope?",
    "I should also like a spare key for the locker.",
    "We have yet to receive the survey.",
    "You'd better ask the harbour master.",
    "Maybe Rosa could take the jib down.",
    "Let's not forget the lifebelts.",
    "The moorings have to be in by Friday.",
    "We can only launch her when we have your deposit.",
    "Is there any way you could lift her on Monday?",
    "Are you able to send me the plan of the keel?",
    "Is there anyone who could sail with us?",
    "Thanks for returning the form by noon.",
    "Take a look at the rudder.",
    "The harbour office expects the papers on the 3rd.",
    "Please varnish the tiller again.",
    "As discussed, could her mast be moved aft?",
    "You might also tell the harbour master that the berth is taken.",
    "And can your diver come on the 27th?",
    "Might you persuade him to paint it?",
    "He would, however, like one of the cleats.",
    "The fenders have to be white.",
    "The capstan wants looking at.",
    "We still await the second survey.",
    "We hope for your answer by Friday.",
    "Rosa is stripping the hull and will oil it on Monday.",
    "Can u try him?",
    "Whoever is in the yard first: salt the ramp.",
    "I expect somebody here before noon.",
    "We expect your answer by Friday.",
    "Please go ahead with the new mast by Friday.",
    "Send me the measurements of the mast.",
    "Could you look at the keel before Thursday?",
    "Can somebody bring the trailer round?",
    "Would you mind moving the dinghy?",
    "We need two more fenders by noon.",
    "We need two days' notice.",
    "She begs you, though, to bring rubber mats.",
    "I'd like you to check the bilge pump.",
    "Rosa has to sign the form.",
    "Rosa will order the paint.",
    "The sails must be dried before they are stowed.",
    "Make sure the hatch is shut.",
    "Don't forget the life jackets.",
    "Do not launch her before I am back.",
    "Do you mind moving the dinghy?",
    "It would help if you measured the berth.",
    "I wonder if you could lend us a winch.",
    "We are still waiting for the survey.",
    "Action: renew the mooring lines.",
    "Let me know which rope you want.",
    "Any chance you could weld the bracket on Monday?",
    "The invoice needs to be paid this week.",
    "You will have to haul her out.",
    "Kindly return the key to the office.",
    "Chandler to price the winches.",
    "The bosun to check every shackle by Friday.",
    "Hoist the ensign.",
    "The harbour office wants an answer from you.",
    "We shall have to know her draught.",
    "Delivery to both berths not later than 7 October.",
    "Under no circumstances may the hatch be opened.",
    "She may not be hired out until she has been surveyed.",
    "Your signature on the survey, please.",
    "Can it have a longer rope?",
    "I take the liberty of reminding you of the survey.",
  ],
  question: [
    "I would be interested to hear what the mast weighs.",
    "It isn't clear to me who pays for the crane.",
    "Did you find the shop?",
    "How happy are you with the new mast?",
    "Can everyone use it?",
    "My question is how long the varnish lasts.",
    "And the tide?",
    "Would you know a good rigger?",
    "It is high water at noon, isn't it?",
    "Now she is asking whether it can be blue.",
    "Piet, can you live with that?",
    "One thing would help: was she painted twice?",
    "Can the old rope still be used, or shall we buy a new one?",
    "We would like to know now if she may race.",
    "Would you accept one delivery or do you want them apart?",
    "The head also wants to know how loud it will be.",
    "When does the tide turn?",
    "We should like to know whether she may race.",
    "Is there a way to reach the keel bolts from inside.",
    "How do I get the old varnish off the tiller.",
    "what is the draught of the new boat",
    "Do you mind if I moor at your berth?",
    "Do you know anyone who mends spinnakers?",
    "Is the slip free on Saturday?",
    "Which varnish did you use on the deck?",
    "Who has the key of the shed?",
    "How long is the new mast?",
    "I wonder whether the engine fits.",
    "Do you still have the old rudder?",
    "What did the surveyor say?",
    "Are the batteries charged?",
  ],
  promise: [
    "Fenna will write to the harbour master.",
    "I'm asking the rigger tomorrow.",
    "Delivery is on Monday.",
    "The rigger comes at nine.",
    "Our driver brings the mast on Thursday.",
    "The ropes I can bring.",
    "Consider it done.",
    "I'll see what the chandler has.",
    "Details follow tomorrow.",
    "We hope to have her ready by Friday.",
    "You can have her back on Monday.",
    "Rest assured that we will look into it.",
    "Invoice to follow.",
    "So I would send the anchor on 30 September.",
    "The spare goes on the boat tonight and is with you tomorrow.",
    "The survey report goes to the owners as soon as it is signed.",
    "Payment will be made within two weeks of the survey.",
    "I'll fill in the attached form by Friday.",
    "I'll bring the spare anchor tomorrow.",
    "We can deliver the ropes on Monday for the same price.",
    "We will send you the quote on Friday.",
    "You'll have the sail back by Wednesday.",
    "I will ring the harbour master.",
    "Leave it with me.",
    "We'll have her afloat by the weekend.",
    "I promise to return the clamps.",
    "You get the keys on Friday.",
    "The crane is with you on Monday.",
    "The certificate will be in the post.",
    "Our insurers pay for the mast.",
    "You will be notified of the launch by telephone.",
    "Ordering a new halyard tomorrow.",
    "Dropping it off on the way home.",
    "I renew the rigging completely.",
    "The harbour keeps a berth free for you.",
    "The bill follows.",
  ],
  trouble: [
    "We are out of varnish.",
    "I've lost the key of the locker.",
    "The bilge pump keeps tripping.",
    "Nobody has paid so far.",
    "Water is coming through the deck.",
    "Somebody broke into the shed last night.",
    "The depth sounder won't switch on.",
    "The new rope isn't long enough.",
    "We can only deliver half of the chain this week.",
    "The new mast is above our budget.",
    "The plotter shows the depth wrongly.",
    "They turned us down.",
    "You charged us twice for the berth.",
    "I can't make it on Saturday.",
    "We missed the closing date for the regatta.",
    "The berth is already taken on that day.",
    "The bilge pump does nothing.",
    "The council said no.",
    "Nobody came to the launch.",
    "We waited in vain.",
    "It's happened again.",
    "The engine room was filthy.",
    "The hatch hasn't been closed.",
    "We have no idea where the anchor is.",
    "The diver was rude to our guests.",
    "The chandler no longer makes them.",
    "The shed was broken into.",
    "We'll miss the deadline.",
    "The rigger left at noon without touching the mast.",
    "Diesel is through the roof.",
    "The resin never set properly.",
    "The bill is three times what the yard quoted.",
    "The sails were not collected on Monday.",
    "The driver found the yard locked.",
    "The ketch can't sail tomorrow.",
    "This figure must be wrong.",
    "Missing from the last parcel were two shackles.",
    "He was meant to come at nine and arrived at noon.",
    "Your man left after ten minutes without repairing anything.",
    "The mast is cracked below the spreader.",
    "I keep getting an error from the chart plotter.",
    "We can't seem to bleed the fuel line.",
    "The plotter hangs as soon as the radar is on.",
    "The takings are 400 short of the plan.",
    "The radio cuts out every few minutes.",
    "The winch jams about once a day.",
    "The heater trips the fuse of the galley twice a night.",
    "Of the twelve fenders we lent them only nine came back.",
    "I don't like the look of that keel.",
    "Slight hitch, the crane is in Hull.",
    "Somebody left the seacock open.",
    "I am sorry to say that the teak comes only in week 50.",
    "We regret to inform you that the berth has gone to another.",
    "The bilge alarm isn't responding.",
    "Two planks have rotted through.",
    "The crane broke down this morning.",
    "The owner is furious about the scratches.",
    "We are three days behind with the refit.",
    "The new propeller does not fit.",
    "The delivery from the chandler never arrived.",
    "There is a leak at the stern gland.",
    "Half the screws are missing.",
    "Three of the blocks came cracked.",
    "The rudder has still not turned up.",
    "The buyer of the ketch is not at all amused.",
  ],
  nothing: [
    "We are out of the office until Monday.",
    "We're not out of the woods yet.",
    "Scrub the hull (done)",
    "Done: hull scrubbed, tanks filled.",
    "Get well soon to your mother!",
    "I don't need a receipt.",
    "I have to be there at nine.",
    "We have been informed.",
    "The lights go off at ten.",
    "The shop doesn't open until ten.",
    "But we wanted to thank you.",
    "Give my regards to the crew.",
    "Keep up the good work!",
    "Get well soon.",
    "How are things at your end?",
    "Was this answer helpful?",
    "Please rate your visit.",
    "To change your settings, open your profile.",
    "I'll be off tomorrow and back on Wednesday.",
    "I won't be reachable on Thursday afternoon.",
    "Our office will be closed on Friday for the regatta.",
    "The strike is over.",
    "The delay has been made up.",
    "The leak was repaired on Monday.",
    "We are able to deliver, and so is the chandler.",
    "You must be tired.",
    "Ask about our winter offers!",
    "I'd love to come and sail with you again.",
    "We will see.",
    "Nobody is in trouble.",
    "A missed launch costs £180.",
    "The last two trials passed without a hitch.",
    "Her crew came in late but happy.",
    "I'm writing this in the bilge with a torch between my teeth.",
    "Should I not hear from you, I shall take it that the berth is free again.",
    "Of the twelve owners only two sail in winter.",
    "Personally I'd go for the blue one.",
    "Drop in for tea if you're ever in the harbour.",
    "If she comes later we cannot keep the berth.",
    "Our diver could come on Tuesday or Wednesday.",
    "In that case I would have to stop the work.",
    "Rate our service with one click.",
    "The skipper has the flu and will be replaced by Mr Beck.",
    "Nobody will lose their berth.",
    "The keel needs a few more days.",
    "I need until Monday to copy the plans.",
    "For the sails we need the weekend.",
    "Nothing would please us more.",
    "You are always welcome to use our slipway in the meantime.",
    "Are we glad to be ashore again.",
    "The boat has never given us a day's trouble.",
    "Bookings are well ahead of last year.",
    "Nothing else needs to be done before the launch.",
    "With this letter we are sending you the survey.",
    "There was nothing the matter with the pump, just a leaf.",
    "What is left of the rope goes into the locker.",
    "Yes, go ahead whenever it suits you.",
    "No rush before the regatta.",
    "By the end of next month would do.",
    "I am asked by the crew to say that the galley has never been cleaner.",
    "I told Rosa I would ask.",
    "If they crossed with our letter",
    "Please go ahead as we agreed.",
    "Thank you for the lovely afternoon.",
    "Please find attached the drawing.",
    "Let me know if you have any questions.",
    "I hope you are well.",
    "Looking forward to the regatta.",
    "No need to answer this.",
    "I left the keys on your desk.",
    "Painting starts on Monday.",
    "Could I ask one more favour?",
    "Please accept the smoked eel.",
    "I am afraid I must trouble you again.",
    "Do not wait up for me.",
    "Nothing further is needed from you.",
    "Consider the matter closed.",
    "Kindly quote our reference in all correspondence.",
    "Feel free to drop by.",
    "The regatta was great fun.",
    "She sails like a dream.",
    "We had a light wind from the east.",
    "Click here to view this email online.",
    "How are you?",
    "The painter came on Monday.",
    "I was away last week.",
    "See you on Saturday.",
    "The rudder was replaced already.",
    "Thanks to Rosa for the soup.",
    "Good to see her afloat.",
    "We hauled her out and found no leaks.",
    "You'll have heard the news from the regatta.",
    "If it helps, we can lift her a day earlier.",
  ],
};

describe.each(Object.entries(SENTENCES))("sentences that are %s", (kind, sentences) => {
  test.each(sentences)("%s", (sentence) => {
    expect(kindOf(sentence)).toBe(kind === "nothing" ? null : kind);
  });
});

test("where a sentence fits several kinds, an ask wins over a question, a question over a promise, a promise over trouble", () => {
  expect(kindOf("Could you tell me when the crane comes?")).toBe("ask");
  expect(kindOf("Please mend the broken pump.")).toBe("ask");
  expect(kindOf("I'll mend the broken pump tomorrow.")).toBe("promise");
});

describe("clauses", () => {
  test("a question behind what is needed asks anew, and one who does both is one", () => {
    const cut = (text: string) =>
      clausesIn(text, [{ kind: "new", start: 0, end: text.length }]).map((clause) =>
        text.slice(clause.start, clause.end),
      );
    expect(cut("I'd also need to know the price, and would gold leaf last on the weather side?")).toEqual([
      "I'd also need to know the price",
      "would gold leaf last on the weather side?",
    ]);
    const one = "I'm seeing him on Friday, and will bring it up.";
    expect(cut(one)).toEqual([one]);
  });
});

describe("what is denied", () => {
  const denies = (rule: KindRule, sentence: string) => {
    const [clause] = clausesIn(sentence, [{ kind: "new", start: 0, end: sentence.length }]);
    return rule.find(clause!, ground) === "nothing";
  };

  test("what cannot be done without something is not: it may ask for it; what happens otherwise is", () => {
    expect(denies(nothingAsked, "Unless you send the survey by Friday we cannot launch her.")).toBe(false);
    expect(denies(nothingAsked, "If we do not have the survey by Friday we cannot launch her.")).toBe(false);
    expect(denies(nothingAsked, "If you don't answer by Friday we cannot launch her.")).toBe(false);
    expect(denies(nothingAsked, "If she comes later we cannot launch her.")).toBe(true);
  });

  test("how things are", () => {
    expect(denies(nothingAsked, "I have left them in the shed behind the kiln.")).toBe(true);
    expect(denies(nothingAsked, "The tent people hold one for us until Monday.")).toBe(true);
    expect(denies(nothingAsked, "Please hold one for us until Monday.")).toBe(false);
    expect(denies(nothingAsked, "A date will be sent to you in due course.")).toBe(true);
  });

  test("what only says that something follows", () => {
    expect(denies(announced, "Two things before we can open the hall.")).toBe(true);
    expect(denies(announced, "Please open the two things before noon.")).toBe(false);
  });
});
