// npm run rounds -- N: the long form of what the tests do ten times.
import { imapRounds } from "./imap-rounds";
import { outboxRounds } from "./outbox-rounds";
import { smtpRounds } from "./smtp-rounds";

const rounds = Number(process.argv[2] ?? 200);
const only = process.argv[3] ?? "";
const seed = 7;
if ("smtp".startsWith(only))
  console.log(
    "SMTP in, kill -9:",
    await smtpRounds(rounds, 3_950, seed, (n) => n % 20 === 0 && console.log(`  round ${n}`)),
  );
if ("outbox".startsWith(only)) console.log("Outbox, kill -9 and lost answers:", await outboxRounds(rounds, seed));
if ("imap".startsWith(only)) console.log("IMAP, broken off:", await imapRounds(rounds, 3_955, seed));
