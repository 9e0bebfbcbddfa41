import type { KindRule } from "../kind-rule";
import { isPolite } from "../polite-words";

/** "Done this week:", "Settled:": what is below is over. */
const DONE_LEAD =
  /^(?:(?:already|all|what (?:we|i)(?: have|['’]ve)?|jobs|tasks|things|work) )*(?:done|finished|completed|closed|settled|sorted|did)(?: (?:(?:this|last) (?:week|month)|today|yesterday|so far|since .{2,30}|in .{2,20}))?:?$/i;

/** "finish the denture (done)", "Done: caterer booked, posters printed" */
const IS_DONE =
  /\((?:done|finished|sent|paid|ok|okay|sorted|settled|completed?|closed|ticked off)\)[.!]*$|^[✓✔☑]|[✓✔☑]$|^(?:already )?(?:done|finished|completed)(?: (?:so far|today|this week))?: /i;

/** "Agenda for Thursday:": what is below is talked about then. */
const AGENDA_LEAD = /^(?:(?:the|our|my|draft|proposed) )*(?:agenda|topics|programme|running order)\b[^.?!]{0,40}:?$/i;

/** The points of a list that is led into as what is done, or will be talked about; unless one of them asks by itself. */
export const nothingListed: KindRule = {
  name: "a point of a list of what is done, or of an agenda",
  confidence: 1,
  says: "nothing",
  find({ lead, text }) {
    if (IS_DONE.test(text)) return "nothing";
    if (!lead) return null;
    if (DONE_LEAD.test(lead)) return "nothing";
    return AGENDA_LEAD.test(lead) && !isPolite(text) && !/\b(?:please|pls|kindly)\b/i.test(text) ? "nothing" : null;
  },
};
