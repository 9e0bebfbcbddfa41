/** Milliseconds between two lines of progress where there is no terminal to write over. */
const QUIET_PAUSE_MS = 2_000;

/** One line of progress on standard error: written over on a terminal, now and then elsewhere. */
export function progress(): { say(text: string): void; end(text: string): void } {
  const isTerminal = process.stderr.isTTY;
  let last = 0;
  return {
    say(text) {
      if (isTerminal) process.stderr.write(`\r\u001b[K${text}`);
      else if (Date.now() - last > QUIET_PAUSE_MS) process.stderr.write(`${text}\n`);
      else return;
      last = Date.now();
    },
    end(text) {
      process.stderr.write(isTerminal ? `\r\u001b[K${text}\n` : `${text}\n`);
    },
  };
}
