import path from "node:path";
import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: ["@electric-sql/pglite", "pg", "wink-nlp", "wink-eng-lite-web-model", "date-holidays"],
  turbopack: { root: path.resolve(import.meta.dirname) },
  outputFileTracingRoot: path.resolve(import.meta.dirname),
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  async headers() {
    // Pages load nothing from elsewhere; Next's own inline scripts and styles are why "unsafe-inline" stands here. Letters
    // laid out by others have a stricter policy of their own.
    const policy =
      "default-src 'self'; script-src 'self' 'unsafe-inline'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'self'";
    const everywhere = [
      { key: "X-Content-Type-Options", value: "nosniff" },
      { key: "Referrer-Policy", value: "same-origin" },
    ];
    return [
      { source: "/:path*", headers: everywhere },
      { source: "/((?!api/).*)", headers: [{ key: "Content-Security-Policy", value: policy }] },
    ];
  },
  // Types are checked by `npm run types`, once, with all tests.
  typescript: { ignoreBuildErrors: true },
};

export default config;
