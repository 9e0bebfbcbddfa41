import path from "node:path";
import type { NextConfig } from "next";

const config: NextConfig = {
  serverExternalPackages: [
    "@electric-sql/pglite",
    "@electric-sql/pglite-socket",
    "pg",
    "wink-nlp",
    "wink-eng-lite-web-model",
  ],
  turbopack: { root: path.resolve(import.meta.dirname) },
  outputFileTracingRoot: path.resolve(import.meta.dirname),
  poweredByHeader: false,
  reactStrictMode: true,
  devIndicators: false,
  // Types are checked by `npm run types`, once, with all tests.
  typescript: { ignoreBuildErrors: true },
};

export default config;
