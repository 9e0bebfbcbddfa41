"use client";

import { useHouse } from "../parts/house";

/** The letter that goes to somebody outside with a hand-over: from whom, to whom, and its words, which can be changed. */
export function OutsideLetter(props: {
  readonly to: { readonly name: string; readonly address: string };
  readonly title: string;
  readonly text: string;
  readonly onText: (text: string) => void;
}) {
  const { me } = useHouse();
  return (
    <div className="paper mt-2">
      <dl className="grid grid-cols-[52px_minmax(0,1fr)] border-b border-hairline px-3 py-1.5 text-[12.5px] leading-[18px] [&>dt]:text-soft">
        <dt>From</dt>
        <dd className="truncate font-semibold">{me.name}</dd>
        <dt>To</dt>
        <dd className="truncate font-semibold">
          {props.to.name} <span className="font-normal text-soft">&lt;{props.to.address}&gt;</span>
        </dd>
        <dt>Subject</dt>
        <dd className="truncate font-semibold">{props.title}</dd>
      </dl>
      <textarea
        aria-label="Words of the letter"
        className="font-letter block w-full resize-none bg-transparent px-3 py-2 text-[14.5px] leading-[21px] [field-sizing:content]"
        rows={7}
        value={props.text}
        onChange={(event) => props.onText(event.target.value)}
      />
    </div>
  );
}
