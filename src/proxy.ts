import { type NextRequest, NextResponse } from "next/server";

/** Tells pages the address they were asked by, so that signing in leads back to it. */
export function proxy(request: NextRequest): NextResponse {
  const headers = new Headers(request.headers);
  headers.set("x-path", request.nextUrl.pathname + request.nextUrl.search);
  return NextResponse.next({ request: { headers } });
}

export const config = {
  matcher: [
    "/sort/:path*",
    "/tasks/:path*",
    "/letters/:path*",
    "/mailboxes/:path*",
    "/write/:path*",
    "/people/:path*",
    "/waiting",
    "/review",
    "/round",
    "/cover",
    "/calendar",
    "/mail-about-tasks",
  ],
};
