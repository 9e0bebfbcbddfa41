import { z } from "zod";
import type { Database } from "@/data/engine/database";
import type { Viewer } from "@/data/need-to-know";
import { signedIn } from "./viewer";

const uuid = z.uuid();

export function isId(text: string): boolean {
  return uuid.safeParse(text).success;
}

/** An answer with a sentence that can be shown. */
export function sayNo(status: number, says: string): Response {
  return Response.json({ says }, { status });
}

export const NOT_HERE = "This is not here any more, or you may not see it.";

/** A page of another site cannot make somebody act: browsers say where a post comes from (Fetch Metadata). */
export function isForeign(request: Request): boolean {
  const site = request.headers.get("sec-fetch-site");
  return site !== null && site !== "same-origin" && site !== "none";
}

/** Answers a request of somebody signed in; everybody else is told to sign in. A fault of ours becomes a plain sentence. */
export async function forViewer(answer: (viewer: Viewer & { db: Database }) => Promise<Response>): Promise<Response> {
  try {
    const viewer = await signedIn();
    return viewer
      ? await answer(viewer)
      : sayNo(401, "You are not signed in any more. What you typed is still here; sign in again in another window.");
  } catch (error) {
    console.error(error);
    return sayNo(500, "Something went wrong on the server. Nothing was changed; what you typed is still here.");
  }
}
