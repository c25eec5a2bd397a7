import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { startTransition, StrictMode } from "react";
import { hydrateRoot } from "react-dom/client";
import { HydratedRouter } from "react-router/dom";
import { deskThemeKey } from "./instruments/local-setting.ts";
import { registerOffline } from "./offline.ts";

try {
  // Before anything is drawn, so that a dark page does not open light.
  if (localStorage.getItem(deskThemeKey) === "shop") document.documentElement.dataset.theme = "shop";
} catch {
  // A browser that stores nothing opens light.
}

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
