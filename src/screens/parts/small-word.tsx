import type { ReactNode } from "react";

/** A word that does something, smaller than the values beside it but as easy to hit (WCAG 2.2, 2.5.8: 24 pixels). */
export function SmallWord(props: {
  readonly children: ReactNode;
  readonly onClick: () => void;
  readonly title?: string;
  readonly className?: string;
}) {
  return (
    <button
      type="button"
      className={`inline-flex min-h-6 items-center align-middle text-[12.5px] font-medium leading-[17px] text-soft ${props.className ?? ""}`}
      onClick={props.onClick}
      title={props.title}
    >
      <span className="word">{props.children}</span>
    </button>
  );
}
