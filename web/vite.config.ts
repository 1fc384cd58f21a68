import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { target: "es2022", sourcemap: false },
  server: { proxy: { "/api": "http://127.0.0.1:8080" } },
  test: {
    pool: "threads",
    // A new window for every file would take longer than all tests in it; what a test changes it puts back.
    isolate: false,
    maxWorkers: 2,
    projects: [
      { extends: true, test: { name: "logic", environment: "node", include: ["src/**/*.test.ts"] } },
      {
        extends: true,
        test: {
          name: "components",
          environment: "jsdom",
          setupFiles: "src/test/setup.ts",
          include: ["src/**/*.test.tsx"],
        },
      },
    ],
  },
});
