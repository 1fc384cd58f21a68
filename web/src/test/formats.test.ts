import { readdirSync, readFileSync } from "node:fs";
import { join, resolve } from "node:path";
import Ajv2020 from "ajv/dist/2020";
import { describe, expect, it } from "vitest";

const FORMATS = resolve("../docs/formats");
const DEMO = resolve("../demo/map");

const read = (folder: string, name: string) =>
  JSON.parse(readFileSync(join(folder, name), "utf8")) as Record<string, unknown>;
const schemas = readdirSync(FORMATS).filter((name) => name.endsWith(".schema.json"));
const named = (name: string) => read(FORMATS, name);

describe("the published schemas", () => {
  it.each(schemas)("%s compiles where everything doubtful is an error", (name) => {
    const strict = new Ajv2020({
      strict: true,
      strictTypes: true,
      strictRequired: true,
      allowUnionTypes: false,
    });
    schemas.forEach((other) => other !== name && strict.addSchema(named(other)));
    expect(() => strict.compile(named(name))).not.toThrow();
  });

  it("take the demo's head and every one of its parts", () => {
    const ajv = new Ajv2020({ strict: true, allErrors: true });
    ajv.addSchema(named("narrowgate-map-1.schema.json"));
    const part = ajv.compile(named("narrowgate-map-part-1.schema.json"));
    const postures = ajv.compile(named("narrowgate-posture-1.schema.json"));
    const parts = readdirSync(DEMO).filter((name) => name !== "map.json");
    expect(parts.length).toBeGreaterThan(3);
    for (const name of parts) {
      const takes = name.startsWith("postures-") ? postures : part;
      expect(takes(read(DEMO, name)), `${name}: ${ajv.errorsText(takes.errors)}`).toBe(true);
    }
    expect(part({ format: "narrowgate-map-part/1", title: "A part has none" })).toBe(false);
  });
});
