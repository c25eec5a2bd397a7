import "@fontsource-variable/atkinson-hyperlegible-next/index.css";
import "@fontsource-variable/atkinson-hyperlegible-mono/index.css";
import { ChakraProvider } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { Links, Meta, Outlet, Scripts, ScrollRestoration } from "react-router";
import { UpdatedNotice } from "./frame/updated.tsx";
import { Toasts } from "./frame/toasts.tsx";
import { Find } from "./find/find.tsx";
import { useTheme } from "./frame/use-theme.ts";
import { useNonce } from "./nonce.ts";
import { system } from "./theme/system.ts";

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useNonce();
  return (
    // The theme is set before the page is drawn, by what stands in this browser.
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta property="csp-nonce" content={nonce} />
        <link rel="icon" href="/favicon.svg" type="image/svg+xml" />
        <Meta />
        <Links />
      </head>
      <body>
        <ChakraProvider value={system}>{children}</ChakraProvider>
        <ScrollRestoration />
        <Scripts />
      </body>
    </html>
  );
}

export default function Root() {
  useTheme();
  return (
    <>
      <UpdatedNotice />
      <Outlet />
      <Find />
      <Toasts />
    </>
  );
}
