"use client";

/** One plain line that is typed, what makes something of it, and below it how its words were understood. */
export function LineField(props: {
  readonly label: string;
  readonly placeholder: string;
  readonly line: string;
  readonly onLine: (line: string) => void;
  readonly does: string;
  readonly isReady: boolean;
  readonly onDo: () => void;
  readonly onClose: () => void;
  /** Name and value of each piece that was understood. */
  readonly glossed: readonly (readonly [string, string])[];
  /** Columns of the pieces, as CSS has them. */
  readonly columns: string;
}) {
  return (
    <div className="border-b border-hairline bg-wash px-4 py-3">
      <div className="flex gap-2">
        <input
          autoFocus
          className="field !h-10 flex-1 !text-[15px] font-semibold"
          aria-label={props.label}
          placeholder={props.placeholder}
          value={props.line}
          onChange={(event) => props.onLine(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") props.onDo();
            if (event.key === "Escape") {
              event.stopPropagation();
              props.onClose();
            }
          }}
        />
        <button type="button" className="btn !h-10" onClick={props.onDo} disabled={!props.isReady}>
          {props.does}
        </button>
      </div>
      <dl className="mt-2 grid gap-x-5 text-[12px] max-sm:!grid-cols-2" style={{ gridTemplateColumns: props.columns }}>
        {props.glossed.map(([name, value]) => (
          <div key={name} className="min-w-0 border-l border-act pl-2">
            <dt className="font-semibold text-act">{name}</dt>
            <dd className="truncate text-[13px] font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}
