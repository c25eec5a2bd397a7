import { createContext, useContext } from "react";

/** The nonce of the response's policy: given by the server, read back from its meta element in the browser. */
export const NonceContext = createContext<string | null>(null);

export function useNonce(): string {
  const fromServer = useContext(NonceContext);
  if (fromServer !== null) return fromServer;
  if (typeof document === "undefined") return "";
  return document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.content ?? "";
}
