// What stands at the foot of letters and says nothing: signatures, notes of a program, of a firm's lawyers and of lists.

/** "-- " begins a signature (RFC 3676 section 4.3); most people's programs lose the space. */
export function isSignatureMark(line: string): boolean {
  return /^--\s?$/.test(line);
}

/** "Sent from my telephone": a line that a program adds of its own accord. */
export function isProgramNote(line: string): boolean {
  return (
    line.length < 90 &&
    /^\s*(?:[-–—_]*\s*)(?:sent (?:from|via|with|using) (?:my|the|a)?\b|get \w+ for \w+|von meinem .{1,30} gesendet|gesendet (?:von|mit|über)\b|envoyé (?:de|depuis|à partir)\b|enviado (?:desde|do|a partir)\b|inviato (?:da|dal)\b|verstuurd vanaf\b|verzonden (?:vanaf|met)\b|skickat från\b|sendt fra\b|lähetetty\b|wysłan[eoy] z\b|отправлено (?:с|из)\b)/iu.test(
      line,
    )
  );
}

const LEGAL_CUES =
  /\b(?:confidential(?:ity)?|privileged|intended (?:only |solely )?(?:for|recipients?)|not the (?:intended|named) (?:recipient|addressee)|received this (?:e-?mail|message|communication|transmission)|in error|unauthori[sz]ed (?:use|disclosure|copying|review)|disclos(?:e|ure)|legally (?:binding|privileged)|virus(?:es)?|(?:delete|destroy) (?:it|this|the|all)|notify (?:the sender|us|me)|views? (?:or opinions )?expressed|registered (?:office|in england|number)|company (?:number|no)|vat (?:number|no|reg)|before printing|print this (?:e-?mail|message)|vertraulich|irrtümlich|confidentiels?|destinataire|destinatario|riservat[oaie]|vertrouwelijk|geadresseerde|konfidentiell)\b/giu;

/** Cues that make a paragraph a lawyer's: one may stand in any letter, three do not. */
const FEWEST_CUES = 3;

/** Whether a paragraph is a firm's standing note on confidence, viruses or its registration. */
export function isLegalNote(paragraph: string): boolean {
  if (paragraph.length < 60) return false;
  return new Set((paragraph.match(LEGAL_CUES) ?? []).map((cue) => cue.toLowerCase())).size >= FEWEST_CUES;
}

const FEWEST_STROKES = 5;

/** A line that mailing lists and senders of newsletters draw above their footer; some write a title into it. */
export function isRule(line: string): boolean {
  if (/^([-_=*~])\1{4,} ?[^-_=*~].{0,60}[^-_=*~] ?\1{5}[-_=*~> ]*$/.test(line)) return true;
  return /^[-_=*~ \t]+$/.test(line) && line.replace(/[ \t]/g, "").length >= FEWEST_STROKES;
}

const LIST_CUES =
  /(?:\bun-?subscri|\bsubscri(?:be|ption)|mailing list|listinfo|list archives?|\bmajordomo\b|manage your (?:preferences|subscription)|view (?:this|it) in (?:your )?browser|abbestellen|abmelden|se désabonner|désinscri|cancelar (?:la )?suscripción|afmelden|mailman|https?:\/\/\S*(?:list|unsub|optout)|this .{0,30}(?:email|mail|message|newsletter).{0,40} (?:is|was) (?:sponsored|sent to)|sponsored by)/i;

const WAY_OUT =
  /^\s*(?:to (?:\(?un\)?-?subscribe|leave (?:this|the) (?:list|group)|stop receiving|opt out)|you (?:are receiving|received|have received) this (?:e-?mail|message|mail) because)\b/i;

/** Lines that programs need at the most to say how to get off a list. */
const LONGEST_WAY_OUT = 8;

/** Whether all that follows says how to get off a list, as programs put it at the foot of letters, often without a rule; nobody is asked anything there. */
export function isWayOut(lines: readonly string[]): boolean {
  return WAY_OUT.test(lines[0] ?? "") && lines.length <= LONGEST_WAY_OUT && !lines.some((line) => /\?\s*$/.test(line));
}

/** Whether lines below a rule are a list's footer: how to get off it, where its pages are. */
export function isListFooter(lines: readonly string[]): boolean {
  return lines.some((line) => LIST_CUES.test(line));
}
