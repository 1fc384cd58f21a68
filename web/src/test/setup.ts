import "@testing-library/jest-dom/vitest";
import { cleanup } from "@testing-library/react";
import { afterEach } from "vitest";

// The stand-in for a browser lays nothing out, so it has nothing to scroll and leaves this out altogether.
Element.prototype.scrollIntoView = () => undefined;

afterEach(cleanup);
