"use client";

import { type ReactNode, useState } from "react";
import { flowText, type Paragraph } from "../../core/letters/flow-text";
import type { SlipKind } from "../../core/reading/slip";
import type { LetterView } from "../../core/views/views";
import { KindMark } from "../parts/marks";

/** A passage to mark in a letter's text. */
export interface MarkedPassage {
  readonly id: string;
  readonly start: number;
  readonly end: number;
  readonly kind: SlipKind | null;
  readonly number: number | null;
}

interface Piece {
  readonly start: number;
  readonly end: number;
  readonly passage: MarkedPassage | null;
}

/** Cuts a stretch at the ends of passages; where two overlap, the one that begins first has the characters. */
function piecesOf(start: number, end: number, passages: readonly MarkedPassage[]): Piece[] {
  const pieces: Piece[] = [];
  let at = start;
  for (const passage of [...passages].sort((a, b) => a.start - b.start || b.end - a.end)) {
    const from = Math.max(passage.start, at);
    const to = Math.min(passage.end, end);
    if (from >= to) continue;
    if (from > at) pieces.push({ start: at, end: from, passage: null });
    pieces.push({ start: from, end: to, passage });
    at = to;
  }
  if (at < end) pieces.push({ start: at, end, passage: null });
  return pieces;
}

function words(text: string, start: number, end: number, soft: ReadonlySet<number>): ReactNode[] {
  const nodes: ReactNode[] = [];
  let from = start;
  for (let i = start; i < end; i += 1) {
    if (text[i] !== "\n") continue;
    nodes.push(text.slice(from, i));
    // A soft line end keeps its one character, so that places on the screen and in the text agree.
    nodes.push(soft.has(i) ? " " : "\n");
    from = i + 1;
  }
  nodes.push(text.slice(from, end));
  return nodes;
}

/** Longest word that is kept on one line with a corner. */
const LONGEST_KEPT_WORD = 24;

/** Length of the word at the head of a stretch; 0 where it is too long to be kept in one piece. */
function wordAtHead(stretch: string): number {
  const length = /^\S*/.exec(stretch)![0].length;
  return length > LONGEST_KEPT_WORD ? 0 : length;
}

function wordAtTail(stretch: string): number {
  const length = /\S*$/.exec(stretch)![0].length;
  return length > LONGEST_KEPT_WORD ? 0 : length;
}

interface TextProps {
  readonly letter: LetterView;
  readonly passages: readonly MarkedPassage[];
  readonly litId: string | null;
  readonly onPick?: (id: string) => void;
}

function ParagraphText({ paragraph, letter, passages, litId, onPick }: TextProps & { paragraph: Paragraph }) {
  const { text } = letter;
  return (
    <p className="whitespace-pre-wrap" data-offset={paragraph.start}>
      {piecesOf(paragraph.start, paragraph.end, passages).map((piece) => {
        const { passage } = piece;
        if (!passage)
          return (
            <span key={piece.start} data-offset={piece.start}>
              {words(text, piece.start, piece.end, paragraph.softBreaks)}
            </span>
          );
        const isFirst = piece.start === passage.start;
        const isLast = piece.end === passage.end;
        // Corners and numbers stay with the word beside them: alone at the end of a line they would say nothing.
        const headEnd = isFirst ? piece.start + wordAtHead(text.slice(piece.start, piece.end)) : piece.start;
        const tailStart = isLast ? piece.end - wordAtTail(text.slice(headEnd, piece.end)) : piece.end;
        return (
          <span key={piece.start} className={litId === passage.id ? "is-lit" : ""} data-passage={passage.id}>
            {/* biome-ignore lint/a11y/useKeyWithClickEvents: the slip beside it is reached by key; this is a second way to it */}
            {/* biome-ignore lint/a11y/noStaticElementInteractions: same */}
            <span className={`passage ${litId === passage.id ? "is-lit" : ""}`} onClick={() => onPick?.(passage.id)}>
              {isFirst && (
                <span className="whitespace-nowrap">
                  <i className="corner-open" />
                  <span data-offset={piece.start}>{text.slice(piece.start, headEnd)}</span>
                </span>
              )}
              <span data-offset={isFirst ? headEnd : piece.start}>
                {words(text, isFirst ? headEnd : piece.start, isLast ? tailStart : piece.end, paragraph.softBreaks)}
              </span>
            </span>
            {isLast && (
              <span className="whitespace-nowrap">
                {/* biome-ignore lint/a11y/useKeyWithClickEvents: as above */}
                {/* biome-ignore lint/a11y/noStaticElementInteractions: as above */}
                <span
                  className={`passage ${litId === passage.id ? "is-lit" : ""}`}
                  onClick={() => onPick?.(passage.id)}
                >
                  <span data-offset={tailStart}>{text.slice(tailStart, piece.end)}</span>
                  <i className="corner-close" />
                </span>
                {passage.kind && (
                  <span className="ml-1 mr-px">
                    <KindMark kind={passage.kind} number={passage.number} />
                  </span>
                )}
              </span>
            )}
          </span>
        );
      })}
    </p>
  );
}

/** The words of a letter: what is new in full, what is quoted, forwarded or a signature folded until it is asked for. */
export function LetterText(props: TextProps) {
  const paragraphs = flowText(props.letter.text, props.letter.parts);
  const groups: { kind: Paragraph["kind"]; paragraphs: Paragraph[] }[] = [];
  for (const paragraph of paragraphs) {
    const last = groups.at(-1);
    if (last && last.kind === paragraph.kind) last.paragraphs.push(paragraph);
    else groups.push({ kind: paragraph.kind, paragraphs: [paragraph] });
  }
  const isAllOld = groups.every((group) => group.kind !== "new");
  return (
    <div className="letter" data-letter={props.letter.id}>
      {groups.map((group, i) => {
        const isMarked = group.paragraphs.some((paragraph) =>
          props.passages.some((passage) => passage.start < paragraph.end && passage.end > paragraph.start),
        );
        const content = group.paragraphs.map((paragraph) => (
          <ParagraphText key={paragraph.start} {...props} paragraph={paragraph} />
        ));
        return group.kind === "new" ? (
          <div key={i}>{content}</div>
        ) : (
          <Folded
            key={i}
            kind={group.kind}
            isOpenAtFirst={isAllOld || isMarked || group.kind === "forwarded"}
            count={group.paragraphs.length}
          >
            {content}
          </Folded>
        );
      })}
      {props.letter.sealed === "encrypted" && (
        <p className="font-[inherit] font-semibold text-late">
          This letter is encrypted and cannot be read here. It is kept as it came: save it, and open it in the program
          that has the key.
        </p>
      )}
      {paragraphs.length === 0 && (
        <p className="text-soft font-[inherit]">
          {props.letter.files.length > 0 ? "There are no words in this letter, only files." : "This letter is empty."}
        </p>
      )}
    </div>
  );
}

const FOLD_NAMES: Readonly<Record<Paragraph["kind"], string>> = {
  new: "",
  quoted: "quoted text",
  signature: "the signature",
  forwarded: "the forwarded letter",
  footer: "the footer",
};

function Folded({
  kind,
  isOpenAtFirst,
  count,
  children,
}: {
  kind: Paragraph["kind"];
  isOpenAtFirst: boolean;
  count: number;
  children: ReactNode;
}) {
  const [isOpen, setOpen] = useState(isOpenAtFirst);
  return (
    <div className="mb-3">
      <button
        type="button"
        className="folded"
        style={{ fontFamily: "var(--font-ui)" }}
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        {isOpen ? "Fold" : "Show"} {FOLD_NAMES[kind]} · {count} {count === 1 ? "paragraph" : "paragraphs"}
      </button>
      {isOpen && <div className="mt-2 border-l-0 pl-4 text-soft">{children}</div>}
    </div>
  );
}
