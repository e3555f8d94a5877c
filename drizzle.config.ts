import { defineConfig } from "drizzle-kit";

export default defineConfig({
  dialect: "sqlite",
  schema: "./app/db/schema/index.server.ts",
  out: "./app/db/migrations",
  casing: "snake_case",
});
