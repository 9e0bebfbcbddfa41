import type { Priority, SlipKind } from "../../core/reading/slip";
import type { TaskState } from "../../core/tasks/task";

/** The name of a kind as a heading. */
export const KIND_NAMES: Readonly<Record<SlipKind, string>> = {
  ask: "Ask",
  question: "Question",
  promise: "Promise",
  trouble: "Trouble",
};
export const KIND_COLOURS: Readonly<Record<SlipKind, string>> = {
  ask: "text-act",
  question: "text-act",
  promise: "text-theirs",
  trouble: "text-late",
};

/** The number of a passage; its shape says the kind: square an ask, round a question, ring a promise, triangle trouble. */
export function KindMark({ kind, number, size = 17 }: { kind: SlipKind; number: number | null; size?: number }) {
  const shapes: Record<SlipKind, React.ReactNode> = {
    ask: <rect x=".5" y=".5" width="16" height="16" rx="2" fill="var(--solid)" />,
    question: <circle cx="8.5" cy="8.5" r="8.3" fill="var(--solid)" />,
    promise: <circle cx="8.5" cy="8.5" r="7.4" fill="var(--pan)" stroke="var(--theirs)" strokeWidth="1.9" />,
    trouble: <path d="M8.5 .4L17.4 16.6H-.4Z" fill="var(--late)" stroke="var(--late)" strokeLinejoin="round" />,
  };
  const inks: Record<SlipKind, string> = {
    ask: "var(--on-solid)",
    question: "var(--on-solid)",
    promise: "var(--theirs)",
    trouble: "var(--on-late)",
  };
  return (
    <svg
      className="mark"
      width={size}
      height={size}
      viewBox="0 0 17 17"
      role="img"
      aria-label={number === null ? kind : `${kind} ${number}`}
    >
      {shapes[kind]}
      {number !== null && (
        <text x="8.5" y={kind === "trouble" ? 14.6 : 12} textAnchor="middle" fill={inks[kind]}>
          {number}
        </text>
      )}
    </svg>
  );
}

/** The upright rule before a title, thick as its priority; the word is in its name. */
export function PriorityRule({ priority, height }: { priority: Priority; height: number }) {
  return <span className={`rule is-${priority}`} style={{ height }} role="img" aria-label={`${priority} priority`} />;
}

export const PRIORITY_NAMES: Readonly<Record<Priority, string>> = {
  top: "Top",
  high: "High",
  normal: "Normal",
  low: "Low",
};

const LABEL_SIZES = { small: [23, 17, 9.5], row: [26, 19, 10], large: [32, 23, 11.5] } as const;

/** A person: a jar label with cut corners, its outline solid for the team, broken for outside. */
export function PersonLabel({
  initials,
  name,
  isTeam,
  size = "row",
}: {
  initials: string;
  name: string;
  isTeam: boolean;
  size?: keyof typeof LABEL_SIZES;
}) {
  const [width, height, text] = LABEL_SIZES[size];
  const cut = Math.round(width / 5.2);
  const points = `${cut},.8 ${width - cut},.8 ${width - 0.8},${cut} ${width - 0.8},${height - cut} ${width - cut},${height - 0.8} ${cut},${height - 0.8} .8,${height - cut} .8,${cut}`;
  return (
    <svg
      className="inline-block flex-none align-middle"
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={isTeam ? name : `${name}, outside`}
    >
      <polygon
        points={points}
        fill="var(--label)"
        stroke={isTeam ? "var(--label-team)" : "var(--label-outside)"}
        strokeWidth={isTeam ? 1.3 : 1.5}
        strokeDasharray={isTeam ? undefined : "2.6 1.7"}
      />
      <text
        x={width / 2}
        y={height / 2 + text * 0.36}
        textAnchor="middle"
        fill="var(--on-label)"
        style={{ font: `700 ${text}px var(--font-ui)` }}
      >
        {initials}
      </text>
    </svg>
  );
}

/** How far a task is, as a small sign beside its word. `isLate` hatches it. */
export function StateSign({ state, isLate }: { state: TaskState; isLate: boolean }) {
  if (isLate) {
    return (
      <svg className="flex-none" width="14" height="12" viewBox="0 0 14 12" aria-hidden="true">
        <defs>
          <pattern id="late-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="2.4" height="5" fill="var(--late)" />
          </pattern>
        </defs>
        <rect x=".7" y=".7" width="12.6" height="10.6" fill="url(#late-hatch)" stroke="var(--late)" strokeWidth="1.4" />
      </svg>
    );
  }
  const colour = state === "to begin" || state === "called off" ? "var(--tie)" : "var(--going)";
  return (
    <svg className="flex-none" width="14" height="12" viewBox="0 0 14 12" aria-hidden="true">
      <rect
        x="2.8"
        y="1"
        width="8.4"
        height="10"
        rx="2.4"
        fill={state === "done" ? colour : "none"}
        stroke={colour}
        strokeWidth="1.5"
      />
      {state === "under way" && (
        <path d="M3.5 6h7v2.6a1.7 1.7 0 0 1-1.7 1.7H5.2a1.7 1.7 0 0 1-1.7-1.7Z" fill={colour} />
      )}
      {state === "called off" && <path d="M3 11L11 1" stroke={colour} strokeWidth="1.5" />}
    </svg>
  );
}

/** A key as it is drawn in the bar of actions. */
export function KeyCap({ name }: { name: string }) {
  if (name !== "Enter")
    return (
      <span className="key" aria-hidden="true">
        {name}
      </span>
    );
  return (
    <span className="key is-enter" aria-hidden="true">
      <svg width="11" height="9" viewBox="0 0 11 9">
        <path d="M9.6 .6V4.4H2.2M4.6 1.6L1.8 4.4L4.6 7.2" fill="none" stroke="currentColor" strokeWidth="1.7" />
      </svg>
    </span>
  );
}
