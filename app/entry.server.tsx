import { PassThrough } from "node:stream";
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import { createReadableStreamFromReadable } from "@react-router/node";
import { isbot } from "isbot";
import { renderToPipeableStream } from "react-dom/server";
import { createContext, type EntryContext, type RouterContextProvider, ServerRouter } from "react-router";
import { NonceContext } from "./nonce.ts";

/** The nonce of this response's Content-Security-Policy; empty in development. */
export const nonceContext = createContext<string>("");
/** True when the server was started to show the demo jobs. */
export const demoContext = createContext<boolean>(false);

const abortAfter = 5_000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  entry: EntryContext,
  context: RouterContextProvider,
): Promise<Response> {
  const nonce = context.get(nonceContext);
  const router = <ServerRouter context={entry} url={request.url} nonce={nonce} />;
  // Development renders with a second copy of Emotion, where a provider of ours would be ignored and mismatch.
  const tree = nonce ? (
    <NonceContext.Provider value={nonce}>
      <CacheProvider value={createCache({ key: "css", nonce })}>{router}</CacheProvider>
    </NonceContext.Provider>
  ) : (
    router
  );
  return new Promise((resolve, reject) => {
    let shellRendered = false;
    const whole = isbot(request.headers.get("user-agent") ?? "") || entry.isSpaMode;
    const { pipe, abort } = renderToPipeableStream(tree, {
      nonce,
      [whole ? "onAllReady" : "onShellReady"]() {
        shellRendered = true;
        const body = new PassThrough();
        headers.set("Content-Type", "text/html; charset=utf-8");
        resolve(new Response(createReadableStreamFromReadable(body), { headers, status }));
        pipe(body);
      },
      onShellError: reject,
      onError(error) {
        if (shellRendered) console.error(error);
      },
    });
    setTimeout(abort, abortAfter);
  });
}
