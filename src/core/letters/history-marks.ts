// How mail programs mark what is not new, in English and the usual other languages: common practice, not a standard. Each
// pattern looks at one line without its line end.

/** A line that quotes: ">", ">>", "|", and the initials or the name that some programs put before it ("JD> ", "Jane> "). */
const QUOTE_SIGN = /^(?:\s{0,3}(?:>|\|(?!.*\|\s*$)|[A-Z]{1,3}>)|\s{0,8}(?:[A-Z]{1,3}|\p{Lu}\p{Ll}{1,11})>(?=\s))/u;

/** Whether a line is quoted by a sign at its head. A table's row and a pointing ">>> here <<<" are not. */
export function isQuoted(line: string): boolean {
  return QUOTE_SIGN.test(line) && !/<<<\s*$/.test(line);
}

/** A sign that no bullet has, so that a list below an attribution is not taken for a quotation. */
const OWN_SIGN = /^[^\p{L}\p{N}\s"'(*•–—-][^\p{L}\p{N}\s"'(]{0,3}|^-{1,3}[^\p{L}\p{N}\s"'(-]/u;

/** The sign with which the first two lines below an attribution both begin ("--]"); null where they have none in common. */
export function ownQuoteSign(lines: readonly string[], below: number): string | null {
  const at = lines.findIndex((line, i) => i >= below && line.trim() !== "");
  const sign = OWN_SIGN.exec(lines[at] ?? "")?.[0];
  return sign && lines[at + 1]?.startsWith(sign) ? sign : null;
}

const WROTE_VERB =
  "wrote|writes|said|says|schrieb|a écrit|ha scritto|ha scrit|escribió|escribio|schreef|geschreven|skrev|napisał|napisała|napisał\\(a\\)|escreveu|kirjoitti|napsal|napsala|írta|a scris|έγραψε|написал|написала|пишет|написав|yazdı|書きました|写道|작성";

const WROTE = new RegExp(`(?:${WROTE_VERB})\\)?\\s*(?:[:：]|\\.{3}|-{2,})?\\s*-*\\s*$`, "iu");

/** A word with which such a line begins, so that "she wrote:" within a sentence is not taken for one. */
const WROTE_LEAD =
  /^\s*-*\s*(?:on|am|le|il|el|op|den|på|em|ti(?:r|st)s?|ons|tors|fre|lör|sön|mån|w dniu|dnia|dne|at|a|в|at|\d{1,4}[-./年]|(?:mon|tue|wed|thu|fri|sat|sun|lun|mar|mer|jeu|ven|sam|dim|mo|di|mi|do|fr|sa|so)\b)/iu;

/** "reply On Wed, Apr 4, 2012 at 3:59 PM, bob@example.com wrote:": the attribution runs on from the last word of the answer. */
const WROTE_INSIDE = /\S\s?(-{0,3}\s?On (?:mon|tue|wed|thu|fri|sat|sun)[a-z]*,? .{6,160}wrote:)\s*$/i;

/** "2011/4/7 Nathan <support@example.com>": some programs say neither "on" nor "wrote". */
const BARE_ATTRIBUTION = /^\s*\d{4}[-/.]\d{1,2}[-/.]\d{1,2}\s.{0,80}<[^<>\s]+@[^<>\s]+>:?\s*$/;

/** Lines that an attribution may be folded over. */
const LONGEST_ATTRIBUTION_LINES = 3;

/** Where an attribution ("On … wrote:") begins in its first line, and how many lines it has; null where there is none. */
export function attributionAt(lines: readonly string[], at: number): { from: number; count: number } | null {
  const first = lines[at] ?? "";
  if (first.length > 400 || isQuoted(first)) return null;
  if (BARE_ATTRIBUTION.test(first) && isQuoted(nextWords(lines, at + 1))) return { from: 0, count: 1 };
  const inside = WROTE_INSIDE.exec(first);
  if (inside) return { from: first.lastIndexOf(inside[1]!), count: 1 };
  let whole = first;
  for (let count = 1; count <= LONGEST_ATTRIBUTION_LINES; count += 1) {
    if (count > 1) {
      // Only a line that begins like an attribution goes on in the next.
      if (!WROTE_LEAD.test(first) && !/^\s*-{2,}/.test(first)) return null;
      const next = lines[at + count - 1] ?? "";
      if (next.trim() === "" || isQuoted(next)) return null;
      whole = `${whole} ${next.trim()}`;
    }
    if (whole.length > 400) return null;
    if (!WROTE.test(whole)) continue;
    const isDated = /\d/.test(whole) || /@/.test(whole);
    const isFollowed = isQuoted(nextWords(lines, at + count));
    if (WROTE_LEAD.test(whole) && isDated) return { from: 0, count };
    if (/^\s*-{2,}/.test(whole) && isDated) return { from: 0, count };
    if (isFollowed && (count === 1 || isDated) && (/[:：.]\s*$/.test(whole) || isDated)) return { from: 0, count };
    return null;
  }
  return null;
}

/** The next line with words on it. */
function nextWords(lines: readonly string[], from: number): string {
  for (let i = from; i < Math.min(from + 6, lines.length); i += 1) if (lines[i]!.trim() !== "") return lines[i]!;
  return "";
}

const ORIGINAL_WORDS =
  "original (?:message|appointment)|ursprüngliche (?:nachricht|mail|e-mail)|urspr\\. nachricht|message d['’]origine|message original|mensaje original|messaggio originale|oorspronkelijk bericht|oprindelig (?:meddelelse|besked)|ursprungligt meddelande|opprinnelig melding|wiadomość oryginalna|oryginalna wiadomość|mensagem original|původní zpráva|исходное сообщение|alkuperäinen viesti|orijinal mesaj|原始邮件|元のメッセージ|원본 메시지";
const FORWARD_WORDS =
  "forwarded message|forwarded by|forwarded mail|weitergeleitete (?:nachricht|mail)|message (?:transféré|réexpédié)|messaggio inoltrato|mensaje reenviado|doorgestuurd bericht|vidarebefordrat (?:meddelande|mail)|videresendt (?:melding|meddelelse|besked)|mensagem encaminhada|przekazana wiadomość|przesłana wiadomość|přeposlaná zpráva|пересылаемое сообщение|välitetty viesti|iletilen mesaj|转发的邮件|転送メッセージ";
const ORIGINAL_MARK = new RegExp(
  `^\\s*(?:-{2,}|_{2,}|={2,}|\\*{2,})\\s*(?:${ORIGINAL_WORDS})\\s*(?:-{2,}|_{2,}|={2,}|\\*{2,})?\\s*:?$`,
  "iu",
);
const FORWARD_MARK = new RegExp(
  `^\\s*(?:(?:-{2,}|={2,}|_{2,})\\s*(?:${FORWARD_WORDS})(?: (?:from|by|von|de|da) .{1,80})?\\s*(?:-{2,}|={2,}|_{2,}|:)?|begin forwarded message:|anfang der weitergeleiteten (?:nachricht|e-mail):|début du message (?:réexpédié|transféré) ?:|inizio messaggio inoltrato:|inicio del mensaje reenviado:|begin doorgestuurd bericht:|vidarebefordrat brev:|videresendt (?:melding|besked):)\\s*$`,
  "iu",
);

/** Whether a line begins an older letter that is quoted below ("-----Original Message-----"). */
export function isOriginalMark(line: string): boolean {
  return ORIGINAL_MARK.test(line);
}

/** Whether a line begins a letter that is passed on ("---------- Forwarded message ----------"). */
export function isForwardMark(line: string): boolean {
  return FORWARD_MARK.test(line);
}

/** The headers that programs write above a quoted letter, by what they mean. */
const HEADER_NAMES = {
  from: "from|von|de|da|van|fra|från|od|lähettäjä|от|від|kimden|差出人|发件人|寄件者|보낸 사람|feladó|expeditor|από",
  date: "sent|date|gesendet|datum|envoyé|enviado(?: el)?|fecha|inviato|data|verzonden|sendt|dato|skickat|wysłano|odesláno|дата|отправлено|дата|lähetetty|päivämäärä|gönderme tarihi|tarih|日時|送信日時|发送时间|日期|보낸 날짜|elküldve|trimis",
  to: "to|an|à|para|a|aan|til|till|do|komu|кому|kime|vastaanottaja|宛先|收件人|받는 사람|címzett|către",
  cc: "cc|kopie|copie|kopi|copia|kopia|копия|bcc",
  subject:
    "subject|betreff|objet|asunto|oggetto|onderwerp|emne|ämne|temat|předmět|тема|assunto|aihe|konu|件名|主题|主旨|제목|tárgy|subiect|θέμα|subj",
  other:
    "reply-to|organization|organisation|importance|attachments?|anlagen|priority|x-[\\w-]+|message-id|list-[\\w-]+",
} as const;
type HeaderName = keyof typeof HEADER_NAMES;

const HEADERS = (Object.keys(HEADER_NAMES) as HeaderName[]).map(
  (name) =>
    [name, new RegExp(`^\\s*\\*{0,2}(?:${HEADER_NAMES[name]})\\s?\\*{0,2}[:：]\\*{0,2}(?:\\s+(.*))?$`, "iu")] as const,
);

/** A header as a line of a block names it, and what stands behind it. */
export function blockHeader(line: string): { name: HeaderName; value: string } | null {
  for (const [name, pattern] of HEADERS) {
    const match = pattern.exec(line);
    if (match) return { name, value: (match[1] ?? "").replace(/^\*+|\*+$/g, "").trim() };
  }
  return null;
}

/** Lines that the headers of a block may be spread over, folded addresses included. */
const LONGEST_BLOCK_LINES = 14;

/** How many lines a block of headers has that begins here ("From: … Sent: … To: … Subject: …"); 0 where there is none. */
export function headerBlockLength(lines: readonly string[], at: number): number {
  const first = blockHeader(lines[at] ?? "");
  if (!first || (first.name !== "from" && first.name !== "date" && first.name !== "subject" && first.name !== "to"))
    return 0;
  const seen = new Set<HeaderName>();
  let length = 0;
  let hasAddress = false;
  for (let i = at; i < Math.min(at + LONGEST_BLOCK_LINES, lines.length); i += 1) {
    const line = lines[i]!;
    const header = blockHeader(line);
    if (header) {
      seen.add(header.name);
      length = i - at + 1;
    } else if (line.trim() === "") {
      // One blank line may stand between the headers of a block that was made of HTML.
      if (!blockHeader(lines[i + 1] ?? "")) break;
    } else if (i - at >= length + 2) break;
    if (/[^\s@]@[^\s@]+\.[^\s@]/.test(line)) hasAddress = true;
  }
  seen.delete("other");
  const isBlock = seen.size >= 3 || (seen.size === 2 && hasAddress && (seen.has("from") || seen.has("date")));
  if (!isBlock || !(seen.has("from") || seen.has("date"))) return 0;
  // A folded value below the last header belongs to it.
  while (/^\s+\S/.test(lines[at + length] ?? "") && !blockHeader(lines[at + length]!)) length += 1;
  return length;
}
