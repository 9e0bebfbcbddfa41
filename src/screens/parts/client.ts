/** What the server said no to: a sentence that can be shown as it is. */
export class ServerSaysNo extends Error {
  constructor(
    message: string,
    readonly status: number,
  ) {
    super(message);
  }
}

async function sentenceOf(response: Response): Promise<string> {
  const body = await response.json().catch(() => null);
  if (body && typeof body.says === "string") return body.says;
  return `The server answered ${response.status}. Nothing was changed.`;
}

function toSignIn(): void {
  if (!location.pathname.startsWith("/sign-in"))
    location.assign(`/sign-in?then=${encodeURIComponent(location.pathname + location.search)}`);
}

/** Asks the server for something; throws `ServerSaysNo` with the sentence to show. */
export async function ask<Answer>(path: string): Promise<Answer> {
  const response = await fetch(path, { headers: { accept: "application/json" } });
  if (response.status === 401) toSignIn();
  if (!response.ok) throw new ServerSaysNo(await sentenceOf(response), response.status);
  return response.json() as Promise<Answer>;
}

/** Tells the server something that is no act; throws `ServerSaysNo` with the sentence to show. */
export async function tell<Answer>(path: string, what: object): Promise<Answer> {
  const response = await fetch(path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(what),
  });
  if (response.status === 401) toSignIn();
  if (!response.ok) throw new ServerSaysNo(await sentenceOf(response), response.status);
  return response.json() as Promise<Answer>;
}

/** What comes back from an act. */
export interface Acted {
  readonly entryId: string | null;
  readonly made: readonly { readonly id: string; readonly reference: string; readonly slug: string }[];
  readonly about: readonly string[];
}

/** Pauses before an act that found no connection is sent again, with the same key, so that it happens once. */
const PAUSES_MS = [400, 1_500, 4_000];

/** Performs an act on the server. A lost connection is tried again; what the server refuses is thrown with its sentence. */
export async function act(name: string, input: unknown): Promise<Acted> {
  const key = crypto.randomUUID();
  for (let attempt = 0; ; attempt += 1) {
    try {
      const response = await fetch("/api/acts", {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ name, input, key }),
      });
      if (response.status === 401) toSignIn();
      if (!response.ok) throw new ServerSaysNo(await sentenceOf(response), response.status);
      return (await response.json()) as Acted;
    } catch (error) {
      if (error instanceof ServerSaysNo) throw error;
      const pause = PAUSES_MS[attempt];
      if (pause === undefined)
        throw new ServerSaysNo(
          "The server cannot be reached. What you typed is still here; try again when the connection is back.",
          0,
        );
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
  }
}
