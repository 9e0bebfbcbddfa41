import { FolderInUse } from "../data/engine/folder-lock";
import { WrongCall } from "./wrong-call";

const HELP = `jam: mail into shared tasks

  jam serve                     start the server in the foreground (PORT, default 3900; JAM_DATA, default .jam)
  jam demo [--fresh]            load the demo where there is none (--fresh: start anew), then serve
  jam import PATH… [--for ADDRESS] [--as NAME]
                                bring mail in: .eml, mbox, Maildir, folders of them;
                                --for makes it the personal mail of a member, --as names the way in
  jam letters --json            list the letters that are kept, one JSON object a line
  jam mail --json PATH…         what is understood of letters in files, one JSON object a message; nothing is brought in
  jam threads --json PATH…      the conversations of letters in files, one JSON object a conversation
  jam read --json [--people FILE] [--lists] PATH…
                                what letters in files ask for, one JSON object a letter; --lists: also those of mailing lists
  jam follow --json [--people FILE] FOLDER…
                                what each letter of a conversation opens and changes, one JSON object a letter
  jam learnt [--json] [--bring FILE]
                                what was learnt from brushing off and keeping, one JSON object a lesson; --bring: brings such a file in
  jam when --json --from INSTANT PHRASE…
                                the day that words mean, one JSON object a phrase
  jam person ADDRESS NAME [--work WHAT]
                                add a member; the password is asked for on standard input (empty: no sign-in)
  jam person leave ADDRESS      a member leaves: what they have goes back, and they cannot sign in
`;

async function run(words: readonly string[]): Promise<number> {
  const [command, ...rest] = words;
  switch (command) {
    case "serve":
      return (await import("./serve")).serve("jam serve");
    case "demo":
      return (await import("./demo")).demo(rest);
    case "import":
      return (await import("./import")).importCommand(rest);
    case "letters":
      return (await import("./letters")).lettersCommand(rest);
    case "mail":
      return (await import("./mail")).mailCommand(rest);
    case "threads":
      return (await import("./threads")).threadsCommand(rest);
    case "read":
      return (await import("./read")).readCommand(rest);
    case "follow":
      return (await import("./follow")).followCommand(rest);
    case "learnt":
      return (await import("./learnt")).learntCommand(rest);
    case "when":
      return (await import("./when")).whenCommand(rest);
    case "person":
      return (await import("./person")).personCommand(rest);
    case undefined:
    case "help":
    case "--help":
      process.stdout.write(HELP);
      return 0;
    default:
      throw new WrongCall(`There is no command “${command}”.\n\n${HELP}`);
  }
}

// "jam letters | head" closes the pipe early: that is no fault.
process.stdout.on("error", (error: NodeJS.ErrnoException) => {
  if (error.code === "EPIPE") process.exit(0);
  throw error;
});

try {
  process.exitCode = await run(process.argv.slice(2));
} catch (error) {
  const isPlain = error instanceof WrongCall || error instanceof FolderInUse;
  process.stderr.write(
    `jam: ${isPlain ? (error as Error).message : error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
  );
  process.exitCode = error instanceof WrongCall ? 2 : 1;
}
