import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { startTransition, StrictMode } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { registerOffline } from "./offline.ts";

const nonce = document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.content ?? "";
const cache = createCache({ key: "css", nonce });

startTransition(() => {
  hydrateRoot(
    document,
    <StrictMode>
      <CacheProvider value={cache}>
        <HydratedRouter />
      </CacheProvider>
    </StrictMode>,
  );
});

registerOffline();
