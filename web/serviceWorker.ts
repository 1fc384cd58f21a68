import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import { build, type Plugin } from "vite";

/** A file that is kept on the device, and by what it is known to be another one than before. */
interface Kept {
  url: string;
  revision: string | null;
}

/** Those under `assets` carry a hash in their names; the others are known by what is in them. */
function filesOf(folder: string): Kept[] {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((file) => file.isFile())
    .map((file) =>
      join(file.parentPath, file.name)
        .slice(folder.length + 1)
        .replaceAll("\\", "/"),
    );
  return files.sort().map((url) => ({
    url,
    revision: url.startsWith("assets/")
      ? null
      : createHash("sha256")
          .update(readFileSync(join(folder, url)))
          .digest("hex")
          .slice(0, 16),
  }));
}

/** Builds the service worker beside the client: a script by itself that knows every file of this build. */
export function serviceWorker({
  source,
  name,
  needed,
}: {
  source: string;
  name: string;
  needed: (url: string) => boolean;
}): Plugin {
  let folder = "";
  return {
    name: "service-worker",
    apply: "build",
    configResolved: (config) => {
      folder = resolve(config.root, config.build.outDir);
    },
    closeBundle: async () => {
      const files = filesOf(folder).filter(({ url }) => url !== name && needed(url));
      await build({
        configFile: false,
        publicDir: false,
        logLevel: "warn",
        define: { SHIPPED: JSON.stringify(files), "process.env.NODE_ENV": '"production"' },
        build: {
          target: "es2022",
          outDir: folder,
          emptyOutDir: false,
          lib: { entry: source, formats: ["es"], fileName: () => name },
        },
      });
    },
  };
}
