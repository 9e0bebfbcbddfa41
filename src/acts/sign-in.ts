import crypto from "node:crypto";
import { betterAuth } from "better-auth";
import { drizzleAdapter } from "better-auth/adapters/drizzle";
import { hashPassword } from "better-auth/crypto";
import { nextCookies } from "better-auth/next-js";
import { sql } from "drizzle-orm";
import type { Database } from "../data/engine/database";
import { newId } from "../data/ids";
import { rowsOf } from "../data/rows";
import { account, session, user, verification } from "../data/schema-sign-in";

/** Shortest password; NIST SP 800-63B section 5.1.1.1 asks for eight at the least. */
export const SHORTEST_PASSWORD = 8;

// One secret an installation, made at its first start and kept in the database beside the sessions it signs.
async function secretOf(db: Database): Promise<string> {
  if (process.env.JAM_SECRET) return process.env.JAM_SECRET;
  const identifier = "jam-secret";
  await db.execute(
    sql`insert into verification (id, identifier, value, expires_at) select ${newId()}, ${identifier}, ${crypto.randomBytes(32).toString("hex")}, 'infinity' where not exists (select 1 from verification where identifier = ${identifier})`,
  );
  const [row] = await rowsOf<{ value: string }>(
    db,
    sql`select value from verification where identifier = ${identifier} limit 1`,
  );
  return row!.value;
}

function make(db: Database, secret: string) {
  return betterAuth({
    secret,
    database: drizzleAdapter(db, { provider: "pg", schema: { user, session, account, verification } }),
    emailAndPassword: { enabled: true, disableSignUp: true, minPasswordLength: SHORTEST_PASSWORD },
    // Any host name this server is reached by; the cookie is bound to it by the browser, and every act is a same-site post.
    trustedOrigins: (request?: Request) =>
      request
        ? [
            new URL(request.url).origin,
            `http://${request.headers.get("host")}`,
            `https://${request.headers.get("host")}`,
          ]
        : [],
    rateLimit: {
      enabled: process.env.JAM_SIGN_IN_LIMIT !== "off",
      window: 60,
      max: 100,
      customRules: { "/sign-in/email": { window: 60, max: 10 } },
    },
    telemetry: { enabled: false },
    logger: { level: "error" },
    plugins: [nextCookies()],
  });
}

const shared = globalThis as typeof globalThis & { jamSignIn?: Promise<ReturnType<typeof make>> };

/** The sign-in of this process. */
export function signIn(db: Database): Promise<ReturnType<typeof make>> {
  shared.jamSignIn ??= secretOf(db).then((secret) => make(db, secret));
  return shared.jamSignIn;
}

/** Makes a sign-in with a password and gives its id. */
export async function makeSignIn(db: Database, name: string, email: string, password: string): Promise<string> {
  const id = newId();
  await db.insert(user).values({ id, name, email: email.toLowerCase(), emailVerified: true });
  await db.insert(account).values({
    id: newId(),
    userId: id,
    accountId: id,
    providerId: "credential",
    password: await hashPassword(password),
  });
  return id;
}
