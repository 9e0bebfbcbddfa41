/** Those who wait for a change in this process: open screens, each with its own way of being told. */
type Listener = () => void;

// Pages and route handlers are separate bundles: what must exist once lives on the process.
const shared = globalThis as typeof globalThis & { jamListeners?: Set<Listener> };

function listeners(): Set<Listener> {
  shared.jamListeners ??= new Set();
  return shared.jamListeners;
}

/** Calls `listener` after every change made in this process, until the returned function is called. */
export function onChange(listener: Listener): () => void {
  listeners().add(listener);
  return () => listeners().delete(listener);
}

/** Tells the open screens of this process that something has changed. */
export function tellScreens(): void {
  for (const listener of listeners()) listener();
}
