"use client";

import { KeyCap } from "../parts/marks";

/** The bar of acts under a letter, each with its key. */
export function BoardActs(props: {
  readonly openCount: number;
  /** How many of them are kept at once: what is unsure and was not looked at stays. */
  readonly keepCount: number;
  readonly isHere: boolean;
  readonly onKeepAll: () => void;
  readonly onKeep: () => void;
  readonly onBrushOff: () => void;
  readonly onNothing: () => void;
  readonly onJoin: () => void;
  readonly onPutBy: () => void;
  readonly onWrite: (() => void) | null;
  readonly onBack: () => void;
  readonly onChoose: () => void;
  readonly onUndo: () => void;
}) {
  const { openCount, keepCount, isHere } = props;
  const all = keepCount < openCount ? `Keep ${keepCount} of ${openCount}` : `Keep all ${openCount}`;
  const chief = openCount > 1 ? all : openCount === 1 ? "Keep it" : "Nothing to do";
  return (
    <div className="acts max-sm:min-h-[64px] max-sm:overflow-x-auto" role="toolbar" aria-label="Acts">
      {isHere || openCount > 0 ? (
        <>
          <button
            type="button"
            className="is-chief max-sm:!h-11"
            onClick={openCount > 0 ? props.onKeepAll : props.onNothing}
          >
            <KeyCap name="Enter" />
            {chief}
          </button>
          <button type="button" className="max-sm:!hidden" disabled={openCount < 2} onClick={props.onKeep}>
            <KeyCap name="K" />
            Keep this
          </button>
          <button type="button" className="max-sm:!hidden" disabled={openCount === 0} onClick={props.onBrushOff}>
            <KeyCap name="X" />
            Brush off
          </button>
          {openCount > 0 && isHere && (
            <button type="button" onClick={props.onNothing}>
              <KeyCap name="N" />
              Nothing to do
            </button>
          )}
        </>
      ) : (
        <button type="button" className="is-chief" onClick={props.onBack}>
          Back to Sort
        </button>
      )}
      <button type="button" onClick={props.onJoin}>
        <KeyCap name="J" />
        Join
      </button>
      {isHere && (
        <button type="button" onClick={props.onPutBy}>
          <KeyCap name="P" />
          Put by
        </button>
      )}
      <button type="button" disabled={props.onWrite === null} onClick={() => props.onWrite?.()}>
        <KeyCap name="W" />
        Write back
      </button>
      <button type="button" onClick={props.onChoose} className="ml-auto max-sm:hidden">
        Bring mail
      </button>
      <button type="button" className="max-sm:ml-auto" onClick={props.onUndo}>
        <KeyCap name="U" />
        Undo
      </button>
    </div>
  );
}
