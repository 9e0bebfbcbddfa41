/** How loudly somebody hears: three arcs at once, one later, a ring not at all. */
export function Loud({ arcs }: { arcs: number }) {
  return (
    <svg width="20" height="14" viewBox="0 0 20 14" className="flex-none" aria-hidden="true">
      {arcs === 0 ? (
        <circle cx="5" cy="7" r="3" fill="none" stroke="var(--tie)" strokeWidth="1.5" />
      ) : (
        <circle cx="5" cy="7" r="3" fill={arcs > 1 ? "var(--act)" : "var(--rim)"} />
      )}
      {Array.from({ length: arcs }, (_, i) => (
        <path
          key={arcs * 10 + i}
          d={`M${9 + i * 3.4} ${4 - i * 1.1}a${4 + i * 1.6} ${4 + i * 1.6} 0 0 1 0 ${6 + i * 2.2}`}
          fill="none"
          stroke={arcs > 1 ? "var(--act)" : "var(--rim)"}
          strokeWidth="1.5"
        />
      ))}
    </svg>
  );
}
