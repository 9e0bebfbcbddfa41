import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "postgresql",
  schema: [
    "./src/data/schema.ts",
    "./src/data/schema-bytes.ts",
    "./src/data/schema-sign-in.ts",
    "./src/data/schema-post.ts",
    "./src/data/schema-hearing.ts",
    "./src/data/schema-days.ts",
    "./src/data/schema-learnt.ts",
    "./src/data/schema-history.ts",
  ],
  out: "./src/data/migrations",
});
