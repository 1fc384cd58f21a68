import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { BrowserRouter } from "react-router";
import { isAway } from "./api/asOf";
import { isLost } from "./api/client";
import { App } from "./app/App";
import "./styles.css";

const queries = new QueryClient({
  defaultOptions: {
    // A lost connection is said at once instead of waiting in silence for a better one.
    mutations: { networkMode: "always" },
    queries: {
      networkMode: "always",
      staleTime: 5_000,
      // What the server refused will be refused again; only a lost connection is worth another try.
      // Where it is known to be lost, the page says so at once, and it is tried again by what waits for it to come back.
      retry: (count, error) => count < 2 && isLost(error) && !isAway(),
    },
  },
});

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      {/* A slider writes the address at every step; a transition would put that off behind other work. */}
      <BrowserRouter useTransitions={false}>
        <App />
      </BrowserRouter>
    </QueryClientProvider>
  </StrictMode>,
);

// Not before the page stands: what is put on the device is asked for over the same line.
if (import.meta.env.PROD)
  addEventListener(
    "load",
    () =>
      void import("./device/install").then(({ install }) => install(() => void queries.invalidateQueries())),
    { once: true },
  );
