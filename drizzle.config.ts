import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "postgresql",
  schema: ["./src/data/schema.ts", "./src/data/schema-sign-in.ts", "./src/data/schema-post.ts"],
  out: "./src/data/migrations",
});
