import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";
import { serviceWorker } from "./serviceWorker.ts";

/**
 * What every page may need. Of the face the cuts for other scripts come when they are wanted, and a posture is not moved where
 * it cannot be stored.
 */
const needed = (url: string) =>
  !/-(latin-ext|vietnamese|cyrillic|greek)[^/]*\.woff2$/.test(url) && !url.includes("/handWorker-");

const compiled = (name: string) =>
  fileURLToPath(new URL(`../browser/target/javascript/${name}`, import.meta.url));

export default defineConfig({
  plugins: [react(), tailwindcss(), serviceWorker({ source: "src/device/worker.ts", name: "sw.js", needed })],
  build: { target: "es2022", sourcemap: false },
  worker: { format: "es" },
  // The core, compiled for browsers; Maven has made it before this is built.
  resolve: {
    alias: {
      "#solver": compiled("solver.js"),
      "#practice": compiled("practice.js"),
      "#hand": compiled("hand.js"),
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:8080" } },
  test: {
    pool: "threads",
    // A new window for every file would take longer than all tests in it; what a test changes it puts back.
    isolate: false,
    maxWorkers: 2,
    // Ends a test that hangs; how fast a machine types into a form is not what any of them is about.
    testTimeout: 30_000,
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
